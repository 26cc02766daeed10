import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsInt, IsObject, IsOptional, IsString, Matches, MaxLength, Min, MinLength } from 'class-validator';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

/** A config as it is written: all that has a default may be left out. */
const lensConfig = { $ref: '#/components/schemas/LensConfig' };

export class CreateLensBody {
  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  name: string;

  @ApiProperty({ description: 'Slug of the source.' })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  source: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({ allOf: [lensConfig], description: 'Without it, one is proposed.' })
  @IsOptional()
  @IsObject()
  config?: object;
}

export class DraftBody {
  @ApiProperty({ allOf: [lensConfig] })
  @IsObject()
  config: object;
}

export class DryRunBody extends DraftBody {
  @ApiProperty({ description: 'The query string to answer.' })
  @IsString()
  @MaxLength(8192)
  address: string;

  @ApiPropertyOptional({ description: 'Where pages stand below one another: the first one wanted, 1 if not said.' })
  @IsOptional()
  @IsInt()
  @Min(1)
  from?: number;
}

export class ReleaseBody {
  @ApiPropertyOptional({ description: 'What is new, in a few words.' })
  @IsOptional()
  @IsString()
  @MaxLength(500)
  note?: string;

  @ApiPropertyOptional({ description: 'The draft that is meant: refused when someone saved another one meanwhile.' })
  @IsOptional()
  @IsInt()
  @Min(1)
  draftRevision?: number;
}
