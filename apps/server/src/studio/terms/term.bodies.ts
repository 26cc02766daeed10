import { mostTermLevels } from '@ivy/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

/** A label that is more than blanks. */
const label = /\S/;
const isGiven = (_: unknown, value: unknown) => value !== undefined;
const isSomething = (_: unknown, value: unknown) => value !== undefined && value !== null;

export class NewTermBody {
  @ApiProperty()
  @IsString()
  @MaxLength(200)
  @Matches(label, { message: 'must have letters in it' })
  label: string;

  @ApiPropertyOptional()
  @IsOptional()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'Slug of the term above; null at the top.' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  parent?: string | null;
}

export class TermBody {
  @ApiPropertyOptional()
  @ValidateIf(isGiven)
  @IsString()
  @MaxLength(200)
  @Matches(label, { message: 'must have letters in it' })
  label?: string;

  @ApiPropertyOptional({ description: 'The one before goes on leading here.' })
  @ValidateIf(isGiven)
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({
    nullable: true,
    type: String,
    description: `Up to ${mostTermLevels} levels; null at the top.`,
  })
  @ValidateIf(isSomething)
  @IsString()
  @MaxLength(200)
  parent?: string | null;

  @ApiPropertyOptional({ description: 'Place among its siblings, from 0.' })
  @ValidateIf(isGiven)
  @IsInt()
  @Min(0)
  @Max(1_000_000)
  position?: number;

  @ApiPropertyOptional()
  @ValidateIf(isGiven)
  @IsBoolean()
  hidden?: boolean;

  @ApiPropertyOptional({
    nullable: true,
    type: String,
    description: 'Address of a picture, with http or https or from the root.',
  })
  @ValidateIf(isSomething)
  @IsString()
  @MaxLength(2000)
  @Matches(/^(?:https?:\/\/|\/(?!\/))\S+$/i, { message: 'must be an address with http or https, or one from the root' })
  picture?: string | null;

  @ApiPropertyOptional({ nullable: true, type: String, description: '`#rrggbb`' })
  @ValidateIf(isSomething)
  @Matches(/^#[0-9a-f]{6}$/i, { message: 'must be #rrggbb' })
  colour?: string | null;
}

export class MergeBody {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(50)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(200, { each: true })
  from: string[];

  @ApiProperty()
  @IsString()
  @MaxLength(200)
  into: string;
}
