import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsInt, IsObject, IsOptional, IsString, Matches, MaxLength, Min, MinLength } from 'class-validator';
import { slugMessage, slugPattern } from '../../shared/slugs.js';

export class CreateLensBody {
  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  name: string;

  @ApiProperty({ description: 'Slug of the source.' })
  @IsString()
  @MinLength(1)
  @MaxLength(120)
  source: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @Matches(slugPattern, { message: slugMessage })
  slug?: string;

  @ApiPropertyOptional({
    type: 'object',
    additionalProperties: true,
    description: 'Without it, one is proposed. See /api/v1/schemas/lens.json.',
  })
  @IsOptional()
  @IsObject()
  config?: object;
}

export class DraftBody {
  @ApiProperty({ type: 'object', additionalProperties: true, description: 'See /api/v1/schemas/lens.json.' })
  @IsObject()
  config: object;
}

export class TrialBody extends DraftBody {
  @ApiProperty({ description: 'The query string to answer.' })
  @IsString()
  @MaxLength(8192)
  address: string;
}

export class ReleaseBody {
  @ApiPropertyOptional({ description: 'What is new, in a few words.' })
  @IsOptional()
  @IsString()
  @MaxLength(500)
  note?: string;

  @ApiPropertyOptional({ description: 'The draft that is meant: refused when someone saved another one meanwhile.' })
  @IsOptional()
  @IsInt()
  @Min(1)
  draftRevision?: number;
}
