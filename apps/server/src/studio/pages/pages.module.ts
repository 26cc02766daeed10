import { Module } from '@nestjs/common';
import { OutsideModule } from '../../outside/outside.module.js';
import { PagesController } from './pages.controller.js';

@Module({ imports: [OutsideModule], controllers: [PagesController] })
export class PagesModule {}
