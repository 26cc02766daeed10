import { fileFormats, type FileFormat } from '@ivy/formats';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsOrigin } from '../../shared/origins.js';
import { IsIn, IsOptional, IsString, Matches, MaxLength } from 'class-validator';
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

  @ApiPropertyOptional({ description: 'Origin that links and pictures without one belong to.' })
  @IsOptional()
  @IsOrigin()
  site?: string;
}
