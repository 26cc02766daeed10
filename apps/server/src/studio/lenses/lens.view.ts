import type { Lens } from '@ivy/core';
import { ApiProperty } from '@nestjs/swagger';

/** A lens in a list. */
export class LensSummary {
  @ApiProperty() slug: string;
  @ApiProperty() name: string;
  @ApiProperty({ description: 'Slug of its source.' }) source: string;
  @ApiProperty({ type: Number, nullable: true, description: 'Number of the newest release.' }) release: number | null;
  @ApiProperty({ description: 'Whether the draft differs from the newest release.' }) changed: boolean;
  @ApiProperty({ format: 'date-time' }) updatedAt: string;
}

export class LensView extends LensSummary {
  @ApiProperty({ type: 'object', additionalProperties: true }) draft: Lens;
  @ApiProperty() draftRevision: number;
}

export class ReleaseView {
  @ApiProperty() number: number;
  @ApiProperty() note: string;
  @ApiProperty({ format: 'date-time' }) createdAt: string;
  @ApiProperty({ type: 'object', additionalProperties: true }) config: Lens;
}

export class ReleaseMade {
  @ApiProperty() number: number;
}
