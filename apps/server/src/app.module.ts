import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { databaseOptions } from './database/database.js';
import { doorsToken, type Doors } from './doors/doors.js';
import { AboutController } from './health/about.controller.js';
import { HealthController } from './health/health.controller.js';
import { HostedController } from './hosted/hosted.controller.js';
import { SharedModule } from './shared/shared.module.js';
import { LensesModule } from './lenses/lenses.module.js';
import { PagesController } from './site/pages.controller.js';
import { SourcesModule } from './sources/sources.module.js';

@Module({})
export class AppModule {
  static with(databaseUrl: string, doors: Doors): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(databaseUrl), retryAttempts: 5, retryDelay: 500 }),
        SharedModule,
        SourcesModule,
        LensesModule,
      ],
      controllers: [HealthController, AboutController, PagesController, HostedController],
      providers: [{ provide: doorsToken, useValue: doors }],
    };
  }
}
