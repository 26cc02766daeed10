import { Module } from '@nestjs/common';
import { HealthController } from '../health/health.controller.js';
import { SharedModule } from '../shared/shared.module.js';
import { AskedLenses } from './asked-lenses.js';
import { EmbedController } from './embed.controller.js';
import { FeedsController } from './feeds/feeds.controller.js';
import { FeedsService } from './feeds/feeds.service.js';
import { HostedController } from './hosted/hosted.controller.js';
import { HostedPages } from './hosted/hosted-pages.js';
import { IndexCache } from './index-cache.js';
import { LensCache } from './lens-cache.js';
import { MarkupController } from './markup.controller.js';
import { ResultsController } from './results.controller.js';
import { ResultsService } from './results.service.js';

/**
 * What anyone may ask for from anywhere: what visitors of sites get, and whether the server is well. It holds nothing that
 * is not in the database. Every route of its controllers is public; a route for those who work on lenses has no place here.
 */
@Module({
  imports: [SharedModule],
  controllers: [
    ResultsController,
    FeedsController,
    MarkupController,
    HostedController,
    EmbedController,
    HealthController,
  ],
  providers: [AskedLenses, IndexCache, LensCache, ResultsService, FeedsService, HostedPages],
  exports: [AskedLenses, IndexCache, LensCache, ResultsService, HostedPages],
})
export class DeliveryModule {}
