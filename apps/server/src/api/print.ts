import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter, type NestFastifyApplication } from '@nestjs/platform-fastify';
import { AppModule } from '../app.module.js';
import { readDoors } from '../doors/doors.js';
import { documentOf } from './document.js';

// Prints the OpenAPI document. In a preview Nest reads the routes and makes nothing, so no database is needed.
const app = await NestFactory.create<NestFastifyApplication>(
  AppModule.with('postgres://nowhere/nothing', readDoors({})),
  new FastifyAdapter(),
  { preview: true, logger: false },
);
process.stdout.write(JSON.stringify(documentOf(app)));
