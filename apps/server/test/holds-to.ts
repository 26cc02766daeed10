import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';

interface Operation {
  responses: Record<string, { content?: Record<string, unknown> }>;
}

interface Document {
  paths: Record<string, Record<string, Operation>>;
}

/** An answer as it came. */
export interface Came {
  method: string;
  /** With its query string, if any. */
  path: string;
  status: number;
  type: string;
  body: unknown;
}

/**
 * Holds answers to an OpenAPI document: every status, type and body that a server sends must be described there.
 */
export class HoldsTo {
  readonly #ajv = new Ajv2020({ strict: false, validateFormats: false, allErrors: true });
  readonly #validators = new Map<string, ValidateFunction>();
  readonly #routes: { pattern: RegExp; path: string }[];

  constructor(private readonly document: Document) {
    this.#ajv.addSchema(document, 'api');
    this.#routes = Object.keys(document.paths).map((path) => ({
      path,
      pattern: new RegExp(`^${path.replace(/\{\w+\}/g, '[^/]+')}$`),
    }));
  }

  /** @throws where an answer is another than the document says; paths and methods it does not name are let be */
  check({ method, path, status, type, body }: Came): void {
    const plain = path.split('?', 1)[0]!;
    const routes = this.#routes.filter(({ pattern }) => pattern.test(plain));
    // a path without parts, such as one that ends in "draft", goes before one where anything may stand
    const route = routes.sort((a, b) => a.path.split('{').length - b.path.split('{').length)[0];
    const operation = route && this.document.paths[route.path]![method.toLowerCase()];
    if (!route || !operation) return;
    const described = operation.responses[status];
    const where = `${method} ${route.path} → ${status}`;
    if (!described) throw new Error(`${where} is not described: ${JSON.stringify(body).slice(0, 300)}`);
    const sent = type.split(';', 1)[0]!;
    if (!described.content) {
      if (sent !== '' && body !== '') throw new Error(`${where} has a body of ${sent}, and none is described.`);
      return;
    }
    if (!(sent in described.content)) throw new Error(`${where} is ${sent}, which is not described.`);
    if (!sent.includes('json')) return;
    const validate = this.#validator([
      'paths',
      route.path,
      method.toLowerCase(),
      'responses',
      String(status),
      'content',
      sent,
      'schema',
    ]);
    if (!validate(body)) {
      const errors = validate.errors!.slice(0, 5).map((one) => `${one.instancePath} ${one.message}`);
      throw new Error(`${where} is not what is described:\n${errors.join('\n')}`);
    }
  }

  #validator(way: readonly string[]): ValidateFunction {
    const pointer = way.map((one) => encodeURIComponent(one.replace(/~/g, '~0').replace(/\//g, '~1'))).join('/');
    let validate = this.#validators.get(pointer);
    if (!validate) {
      validate = this.#ajv.compile({ $ref: `api#/${pointer}` });
      this.#validators.set(pointer, validate);
    }
    return validate;
  }
}
