import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { DraftBody } from './lens.bodies.js';

/** A config and an address at which it is looked at. */
export class SightBody extends DraftBody {
  @ApiProperty({ description: 'The query string.' })
  @IsString()
  @MaxLength(8192)
  address: string;
}

export class NearestBody extends SightBody {
  @ApiPropertyOptional({ description: 'Posts that fail so many facets; 1 if nothing is said.' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(100)
  failing?: number;

  @ApiPropertyOptional({ description: 'Of these, the ones that fail this facet.' })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  facet?: string;

  @ApiPropertyOptional({ description: 'Instead: posts that pass all facets before this one, and fail it.' })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  fallsAt?: string;

  @ApiPropertyOptional({ description: 'Instead: posts whose title holds this, or whose id it is.' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  find?: string;

  @ApiPropertyOptional({ description: 'Instead: the post of this id.' })
  @IsOptional()
  @IsString()
  @MaxLength(500)
  post?: string;
}

export class WaysInBody extends SightBody {
  @ApiProperty({ description: 'Id of the post.' })
  @IsString()
  @MaxLength(500)
  post: string;
}

export class CrossTableBody extends SightBody {
  @ApiProperty({ type: [String], description: 'Keys of two facets of terms.' })
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @IsString({ each: true })
  facets: [string, string];
}
