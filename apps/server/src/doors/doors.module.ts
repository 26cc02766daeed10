import { Global, Module, type DynamicModule } from '@nestjs/common';
import { doorsToken, type Doors } from './doors.js';

/** Who may come in, for whoever must know. */
@Global()
@Module({})
export class DoorsModule {
  static with(doors: Doors): DynamicModule {
    return { module: DoorsModule, providers: [{ provide: doorsToken, useValue: doors }], exports: [doorsToken] };
  }
}
