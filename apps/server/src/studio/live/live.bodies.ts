import { fileFormats, type FileFormat } from '@ivy/formats';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { OptionsBody } from '../intake/options.body.js';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

/** Headers by their names, as HTTP lets them be. */
function IsHeaders(): PropertyDecorator {
  return ValidateBy({
    name: 'isHeaders',
    validator: {
      validate: (value: unknown) => {
        if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
        const all = Object.entries(value);
        return (
          all.length <= 10 &&
          all.every(
            ([name, text]) =>
              /^[A-Za-z0-9!#$%&'*+.^_`|~-]{1,100}$/.test(name) &&
              !/^(?:host|content-length|connection|transfer-encoding|cookie2?|accept-encoding)$/i.test(name) &&
              typeof text === 'string' &&
              /^[\x20-\x7e\t]{0,4000}$/.test(text),
          )
        );
      },
      defaultMessage: () => 'must be up to ten headers by name, with plain values',
    },
  });
}

export class FeedBody {
  @ApiProperty()
  @IsString()
  @MaxLength(2000)
  address: string;

  @ApiProperty()
  @IsString()
  @MaxLength(200)
  name: string;
}

/** Where posts come from. */
export class LookBody {
  @ApiProperty({ description: 'The address of a feed, an endpoint, a file or a page.' })
  @IsString()
  @Matches(/\S/, { message: 'must say something' })
  @MaxLength(2000)
  url: string;

  @ApiPropertyOptional({ type: 'object', additionalProperties: { type: 'string' } })
  @IsOptional()
  @IsObject()
  @IsHeaders()
  headers?: Record<string, string>;

  @ApiPropertyOptional({ enum: fileFormats })
  @IsOptional()
  @IsIn(fileFormats)
  format?: FileFormat;

  @ApiPropertyOptional({ type: OptionsBody })
  @IsOptional()
  @ValidateNested()
  @Type(() => OptionsBody)
  options?: OptionsBody;
}

/** What is said of a source that is live: an address, or several feeds. */
export class LiveBody extends LookBody {
  @ApiPropertyOptional({ description: 'Minutes between two looks; 0 for none but on asking.', default: 60 })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(60 * 24 * 30)
  every?: number;

  @ApiPropertyOptional({ type: [FeedBody], description: 'Several feeds as one source, in place of the one address.' })
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => FeedBody)
  feeds?: FeedBody[];
}

/** A new source that is live. */
export class LiveSourceBody extends LiveBody {
  @ApiProperty()
  @IsString()
  @Matches(/\S/, { message: 'must say something' })
  @MaxLength(120)
  name: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;
}

export class RefreshBody {
  @ApiPropertyOptional({ description: 'Posts that are gone there go, however many they are.' })
  @IsOptional()
  @IsBoolean()
  anyway?: boolean;
}
