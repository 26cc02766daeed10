import { Module } from '@nestjs/common';
import { readReach } from './reach.js';

/** What the hosts that may be asked are injected by. */
export const reachToken = Symbol('reach');

/** Asking other servers: only those of the open net, and those the owner allows. */
@Module({
  providers: [{ provide: reachToken, useFactory: () => readReach(process.env) }],
  exports: [reachToken],
})
export class OutsideModule {}
