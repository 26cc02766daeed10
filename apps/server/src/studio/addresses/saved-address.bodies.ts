import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

const mostPosts = 10_000_000;

export class ExpectBody {
  @ApiPropertyOptional({ description: 'Exactly so many posts.' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(mostPosts)
  matched?: number;

  @ApiPropertyOptional({ description: 'At least so many.' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(mostPosts)
  min?: number;

  @ApiPropertyOptional({ description: 'At most so many.' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(mostPosts)
  max?: number;

  @ApiPropertyOptional({ description: 'Ids of posts that must be there.', type: [String] })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @IsString({ each: true })
  @MaxLength(500, { each: true })
  has?: string[];

  @ApiPropertyOptional({ description: 'Ids of posts that must not be there.', type: [String] })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @IsString({ each: true })
  @MaxLength(500, { each: true })
  lacks?: string[];
}

export class ChangeAddressBody {
  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(200)
  name?: string;

  @ApiPropertyOptional({ description: 'A folder of your own.' })
  @IsOptional()
  @IsString()
  @MaxLength(80)
  folder?: string;

  @ApiPropertyOptional({ description: 'A query string; of a whole URL, its query string is taken.' })
  @IsOptional()
  @IsString()
  @MaxLength(8192)
  address?: string;

  @ApiPropertyOptional({
    description: 'What it must return; left out at first, exactly as many posts as it returns now.',
  })
  @IsOptional()
  @ValidateNested()
  @Type(() => ExpectBody)
  expect?: ExpectBody;
}

export class SaveAddressBody extends ChangeAddressBody {
  @ApiProperty({ description: 'A query string; of a whole URL, its query string is taken.' })
  @IsString()
  @MaxLength(8192)
  override address: string;
}

export class FolderBody {
  @ApiProperty({ description: 'The folder as it is called now.' })
  @IsString()
  @MaxLength(80)
  folder: string;

  @ApiProperty({ description: 'What it is called from now on.' })
  @IsString()
  @Matches(/\S/, { message: 'must say something' })
  @MaxLength(80)
  to: string;
}

export class RemoveAddressesBody {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMaxSize(1000)
  @IsUUID('all', { each: true })
  ids: string[];
}

export class ImportAddressesBody {
  @ApiProperty({ description: 'URLs, one a line; a CSV file with a column of them; or a sitemap.' })
  @IsString()
  @MaxLength(4_000_000)
  text: string;

  @ApiPropertyOptional({ description: 'The folder they go into.' })
  @IsOptional()
  @IsString()
  @MaxLength(80)
  folder?: string;
}
