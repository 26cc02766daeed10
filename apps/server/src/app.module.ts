import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { databaseOptions } from './database/database.js';
import { DeliveryModule } from './delivery/delivery.module.js';
import type { Doors } from './doors/doors.js';
import { DoorsModule } from './doors/doors.module.js';
import { StudioModule } from './studio/studio.module.js';

/** The server's two sides. */
@Module({})
export class AppModule {
  static with(databaseUrl: string, doors: Doors): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(databaseUrl), retryAttempts: 5, retryDelay: 500 }),
        DoorsModule.with(doors),
        DeliveryModule,
        StudioModule,
      ],
    };
  }
}
