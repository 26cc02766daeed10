import { pagingWords } from '@ivy/formats';
import { Controller, Post, Req, type OnModuleDestroy } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { Answers, Refuses } from '../../api/describe.js';
import { bodyPipe } from '../../problem/body.pipe.js';
import { Problem } from '../../problem/problem.js';
import { Thread } from '../../shared/thread.js';
import type { FilesOnDisk } from '../intake/given-files.js';
import { Uploads } from '../intake/uploads.js';
import { Fetches } from '../live/fetches.js';
import { LookBody } from '../live/live.bodies.js';
import { readOptions } from '../intake/options.body.js';
import { IntakeBody } from '../sources/intake.body.js';
import type { LookView } from './look.js';
import type { LookResult, LookTask } from './look-worker.js';

/** Pages of an address that are looked at: enough to see how it goes on. */
const pagesLooked = 2;

/** A look at what files or an address hold, before anything is kept. */
@ApiTags('sources')
@Controller('api/v1/looks')
export class LooksController implements OnModuleDestroy {
  readonly #thread = new Thread<LookTask, LookResult>(['studio', 'looks', 'look-worker.js'], {
    megabytes: 1000,
    patience: 2 * 60_000,
    words: 'Looking at this',
  });

  constructor(
    private readonly uploads: Uploads,
    private readonly fetches: Fetches,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await this.#thread.close();
  }

  @Post()
  @ApiConsumes('multipart/form-data', 'application/json')
  @ApiBody({
    type: LookBody,
    description: 'An address; or a multipart body with one `file` or several, `format` and `options`.',
  })
  @Answers('LookView', { status: 201 })
  @Refuses({
    400: ['no-file', 'broken-upload', 'bad-body'],
    413: ['too-large'],
    422: ['unreadable', 'bad-page', 'page-failed', 'page-private', 'endpoint-failed', 'too-slow'],
    503: ['too-many-waiting'],
  })
  async look(@Req() request: FastifyRequest): Promise<LookView> {
    if (request.isMultipart()) return this.#files(request);
    const body = (await bodyPipe.transform(request.body, { type: 'body', metatype: LookBody })) as LookBody;
    return this.#address(body);
  }

  async #files(request: FastifyRequest): Promise<LookView> {
    const upload = await this.uploads.receive(request);
    try {
      const body = (await bodyPipe.transform(upload.parts, { type: 'body', metatype: IntakeBody })) as IntakeBody;
      return await this.#look({
        ...upload.given,
        format: body.format ?? null,
        options: await readOptions(body.options),
      });
    } finally {
      await upload.discard();
    }
  }

  #address({ url, headers = {}, format, options = {} }: LookBody): Promise<LookView> {
    const work = {
      ...{
        feeds: [{ address: url.trim(), name: '' }],
        format: format ?? null,
        options: { ...options },
        secret: headers,
      },
      ...{ paging: undefined, joins: undefined, known: [], pages: pagesLooked },
    };
    return this.fetches.fetch(work, async ({ given, paging, found }) => {
      if (!given) throw new Problem(422, 'page-failed', 'Nothing came from there.');
      const look = await this.#look(given);
      return { ...look, paging: pagingWords(paging), found };
    });
  }

  async #look(given: FilesOnDisk): Promise<LookView> {
    const { look } = await this.#thread.run({ given, today: new Date().toISOString().slice(0, 10) });
    return look;
  }
}
