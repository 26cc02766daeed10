import { Module } from '@nestjs/common';
import { OutsidePages } from './outside-pages.js';
import { PageReader } from './page-reader.js';
import { readReach } from './reach.js';
import { reachToken } from './reach-token.js';

/** Asking other servers: only those of the open net, and those the owner allows. */
@Module({
  providers: [OutsidePages, PageReader, { provide: reachToken, useFactory: () => readReach(process.env) }],
  exports: [OutsidePages, PageReader, reachToken],
})
export class OutsideModule {}
