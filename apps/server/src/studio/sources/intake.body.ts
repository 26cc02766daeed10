import { fileFormats, type FileFormat } from '@ivy/formats';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsOrigin } from '../../shared/origins.js';
import { IsIn, IsOptional, IsString, Matches, MaxLength, ValidateIf } from 'class-validator';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

/** The text parts that come with a file. */
export class IntakeBody {
  @ApiPropertyOptional({ description: 'Without it, the file name.' })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  name?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({ enum: fileFormats, description: 'Without it, told by the file name or its contents.' })
  @IsOptional()
  @IsIn(fileFormats)
  format?: FileFormat;

  @ApiPropertyOptional({ description: 'How it is read, as JSON: what is not said is told by the file itself.' })
  @IsOptional()
  @IsString()
  options?: string;

  @ApiPropertyOptional({ description: 'Origin that links and pictures without one belong to.' })
  @IsOptional()
  @IsOrigin()
  site?: string;
}

/** What is said of a source that is there. */
export class SourceBody {
  @ApiPropertyOptional()
  @ValidateIf((_body, value) => value !== undefined)
  @IsString()
  @Matches(/\S/, { message: 'must say something' })
  @MaxLength(120)
  name?: string;

  @ApiPropertyOptional()
  @ValidateIf((_body, value) => value !== undefined)
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({
    nullable: true,
    type: String,
    description: 'Origin that links and pictures without one belong to.',
  })
  @ValidateIf((_body, value) => value !== undefined && value !== null)
  @IsOrigin()
  site?: string | null;
}
