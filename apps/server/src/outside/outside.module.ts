import { Module } from '@nestjs/common';
import { PageReader } from './page-reader.js';
import { readReach } from './reach.js';
import { reachToken } from './reach-token.js';

/** Asking other servers: only those of the open net, and those the owner allows. */
@Module({
  providers: [PageReader, { provide: reachToken, useFactory: () => readReach(process.env) }],
  exports: [PageReader, reachToken],
})
export class OutsideModule {}
