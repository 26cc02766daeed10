import type { Type } from '@nestjs/common';
import { METHOD_METADATA, MODULE_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';

/** The paths of all routes of a module's controllers: what is open follows from where a route stands. */
export function pathsOf(module: Type): RegExp[] {
  const controllers = Reflect.getMetadata(MODULE_METADATA.CONTROLLERS, module) as Type[];
  return controllers.flatMap((controller) => {
    const base = String(Reflect.getMetadata(PATH_METADATA, controller));
    const prototype = controller.prototype as Record<string, unknown>;
    return Object.getOwnPropertyNames(prototype).flatMap((name) => {
      const handler = prototype[name];
      if (name === 'constructor' || typeof handler !== 'function') return [];
      if (Reflect.getMetadata(METHOD_METADATA, handler) === undefined) return [];
      const paths = [Reflect.getMetadata(PATH_METADATA, handler) as string | string[]].flat();
      return paths.map((path) => patternOf(`${base}/${path}`));
    });
  });
}

/** A path with parts that may be anything, such as `l/:slug`. */
function patternOf(path: string): RegExp {
  const parts = path.split('/').filter((part) => part !== '');
  const pattern = parts.map((part) => (part.startsWith(':') ? '[^/]+' : part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')));
  return new RegExp(`^/${pattern.join('/')}$`);
}
