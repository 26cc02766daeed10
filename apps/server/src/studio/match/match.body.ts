import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsOptional, IsString, MaxLength, MinLength } from 'class-validator';

export class MatchBody {
  @ApiPropertyOptional({ description: 'Address of a page.' })
  @IsOptional()
  @IsString()
  @MinLength(1)
  @MaxLength(2000)
  page?: string;

  @ApiPropertyOptional({ description: 'Rules of a sheet, where the page can’t be reached.' })
  @IsOptional()
  @IsString()
  @MinLength(1)
  @MaxLength(500_000)
  css?: string;
}
