import { fieldTypes, dateOrders, fieldRoles, type DateOrder, type FieldRole, type FieldType } from '@ivy/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsString,
  MaxLength,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

const isSaid = (_body: unknown, value: unknown) => value !== undefined;
/** Null is something that is said: none. */
const isSome = (_body: unknown, value: unknown) => value !== undefined && value !== null;

/** Words that stand for yes, and for no. */
export class WordsBody {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMaxSize(50)
  @IsString({ each: true })
  @MaxLength(100, { each: true })
  yes: string[];

  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMaxSize(50)
  @IsString({ each: true })
  @MaxLength(100, { each: true })
  no: string[];
}

/** Posts of another source that values stand for. */
export class ReferenceBody {
  @ApiProperty({ description: 'Slug of the source.' })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  source: string;

  @ApiProperty({ description: 'Field there that has the same values.' })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  key: string;

  @ApiProperty({ description: 'Field there that is shown.' })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  label: string;
}

/** What is said of a field in place of what was found; what is not named stays as it is. */
export class FieldBody {
  @ApiPropertyOptional({ enum: fieldTypes })
  @ValidateIf(isSaid)
  @IsIn(fieldTypes)
  type?: FieldType;

  @ApiPropertyOptional({ enum: fieldRoles, nullable: true, type: String })
  @ValidateIf(isSome)
  @IsIn(fieldRoles)
  role?: FieldRole | null;

  @ApiPropertyOptional()
  @ValidateIf(isSaid)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  label?: string;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'What parts several values in one.' })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(5)
  separator?: string | null;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'What parts the levels of a path.' })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(5)
  pathSeparator?: string | null;

  @ApiPropertyOptional({ enum: dateOrders, nullable: true, type: String, description: 'Null: as the values look.' })
  @ValidateIf(isSome)
  @IsIn(dateOrders)
  dateOrder?: DateOrder | null;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'Field that names the term above each.' })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  parent?: string | null;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'Field of days that its spans last until.' })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  end?: string | null;

  @ApiPropertyOptional({
    nullable: true,
    type: String,
    description: 'What stands around its numbers: `min` in `12 min`.',
  })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(12)
  unit?: string | null;

  @ApiPropertyOptional({ nullable: true, type: WordsBody, description: 'Words of its own for yes and no.' })
  @ValidateIf(isSome)
  @ValidateNested()
  @Type(() => WordsBody)
  words?: WordsBody | null;

  @ApiPropertyOptional({ nullable: true, type: ReferenceBody, description: 'Posts of another source it stands for.' })
  @ValidateIf(isSome)
  @ValidateNested()
  @Type(() => ReferenceBody)
  reference?: ReferenceBody | null;

  @ApiPropertyOptional({ nullable: true, type: String, description: 'What the objects it holds go by.' })
  @ValidateIf(isSome)
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  by?: string | null;

  @ApiPropertyOptional({ description: 'Kept as it came, and never answered.' })
  @ValidateIf(isSaid)
  @IsBoolean()
  left?: boolean;
}
