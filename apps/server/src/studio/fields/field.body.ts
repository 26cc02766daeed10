import { changeableTypes, dateOrders, fieldRoles, type DateOrder, type FieldRole, type FieldType } from '@ivy/core';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsBoolean, IsIn, IsString, MaxLength, MinLength, ValidateIf } from 'class-validator';

const isSaid = (_body: unknown, value: unknown) => value !== undefined;
/** Null is something that is said: none. */
const isSome = (_body: unknown, value: unknown) => value !== undefined && value !== null;

/** What is said of a field in place of what was found; what is not named stays as it is. */
export class FieldBody {
  @ApiPropertyOptional({ enum: changeableTypes })
  @ValidateIf(isSaid)
  @IsIn(changeableTypes)
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

  @ApiPropertyOptional({ description: 'Kept as it came, and never answered.' })
  @ValidateIf(isSaid)
  @IsBoolean()
  left?: boolean;
}
