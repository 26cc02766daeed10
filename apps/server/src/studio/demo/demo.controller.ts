import { Controller, Post } from '@nestjs/common';
import { ModuleRef } from '@nestjs/core';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../../api/describe.js';
import { demoLens, loadDemo, siteOfDemo } from './load-demo.js';

/** Where the demo is to be seen. */
export interface DemoView {
  /** Slug of its first lens. */
  lens: string;
}

/** Brings the demo in for whoever asks: what a person took away comes back, what is there stays as it is. */
@ApiTags('sources')
@Controller('api/v1/demo')
export class DemoController {
  constructor(private readonly app: ModuleRef) {}

  @Post()
  @Answers('DemoView', { status: 201 })
  async load(): Promise<DemoView> {
    await loadDemo({ get: (token) => this.app.get(token, { strict: false }) }, siteOfDemo(), true);
    return { lens: demoLens };
  }
}
