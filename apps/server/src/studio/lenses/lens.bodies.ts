import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import {
  IsBoolean,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

/** A config as it is written: all that has a default may be left out. */
const lensConfig = { $ref: '#/components/schemas/LensConfig' };

export class CreateLensBody {
  @ApiPropertyOptional({ description: 'Of a copy it may be left out.' })
  @ValidateIf(({ from }: CreateLensBody, value: unknown) => from === undefined || value !== undefined)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  name?: string;

  @ApiPropertyOptional({
    description: 'Slug of the source; of a copy, that of the lens it is made from where none is named.',
  })
  @ValidateIf(({ from }: CreateLensBody, value: unknown) => from === undefined || value !== undefined)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  source?: string;

  @ApiPropertyOptional({ description: 'Slug of the lens whose draft it begins with.' })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  from?: string;

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

export class LensBody {
  @ApiPropertyOptional()
  @ValidateIf(({ slug }: LensBody, value: unknown) => value !== undefined || slug === undefined)
  @IsString()
  @Matches(/\S/, { message: 'must say something' })
  @MaxLength(120)
  name?: string;

  @ApiPropertyOptional({ description: 'The one before goes on answering.' })
  @ValidateIf((_: LensBody, value: unknown) => value !== undefined)
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;
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

export class PublishAgainBody {
  @ApiPropertyOptional({ description: 'What is new, in a few words.' })
  @IsOptional()
  @IsString()
  @MaxLength(500)
  note?: string;

  @ApiPropertyOptional({ description: 'Also where saved addresses no longer hold.' })
  @IsOptional()
  @IsBoolean()
  anyway?: boolean;
}

export class ReleaseBody extends PublishAgainBody {
  @ApiPropertyOptional({ description: 'The draft that is meant: refused when someone saved another one meanwhile.' })
  @IsOptional()
  @IsInt()
  @Min(1)
  draftRevision?: number;
}
