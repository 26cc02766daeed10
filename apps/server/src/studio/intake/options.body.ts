import { encodings, type ReadOptions } from '@ivy/formats';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { bodyPipe } from '../../problem/body.pipe.js';
import { Problem } from '../../problem/problem.js';

/** How a file is read, where that is said. */
export class OptionsBody implements ReadOptions {
  @ApiPropertyOptional({ enum: encodings })
  @IsOptional()
  @IsIn(encodings)
  encoding?: (typeof encodings)[number];

  @ApiPropertyOptional({ enum: [',', ';', '\t', '|'] })
  @IsOptional()
  @IsIn([',', ';', '\t', '|'])
  delimiter?: ',' | ';' | '\t' | '|';

  @ApiPropertyOptional({ enum: ['"', "'"] })
  @IsOptional()
  @IsIn(['"', "'"])
  quote?: '"' | "'";

  @ApiPropertyOptional({ description: 'Whether a line names the columns.' })
  @IsOptional()
  @IsBoolean()
  header?: boolean;

  @ApiPropertyOptional({ description: 'Lines above it that are no part of the table.' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(1000)
  skip?: number;

  @ApiPropertyOptional({ description: 'JSON pointer to the list of posts.' })
  @IsOptional()
  @IsString()
  @MaxLength(500)
  path?: string;

  @ApiPropertyOptional({ description: 'Whether folders of Markdown files become terms.' })
  @IsOptional()
  @IsBoolean()
  folders?: boolean;

  @ApiPropertyOptional({ description: 'Months up to which events that recur are listed.' })
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(120)
  months?: number;
}

/** How a file is to be read, as JSON in a text part. */
export async function readOptions(text: string | undefined): Promise<ReadOptions> {
  if (text === undefined || text.trim() === '') return {};
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    const errors = [{ pointer: '/options', message: 'must be JSON' }];
    throw new Problem(400, 'bad-body', 'The options are no JSON. See errors.', errors);
  }
  const body = (await bodyPipe.transform(said, { type: 'body', metatype: OptionsBody })) as OptionsBody;
  return { ...body };
}
