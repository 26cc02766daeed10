import { FileProblem } from '../file-problem.js';
import { limits } from '../limits.js';

/**
 * Refuses JSON that nests deeper than posts may, before anything walks it by calling itself. What stands between quotes
 * is passed over.
 */
export function checkDepth(text: string): void {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    switch (text.charCodeAt(i)) {
      case 0x22:
        for (i++; i < text.length && text.charCodeAt(i) !== 0x22; i++) if (text.charCodeAt(i) === 0x5c) i++;
        break;
      case 0x5b:
      case 0x7b:
        if (++depth > limits.depth) {
          const words = `The JSON nests deeper than ${limits.depth} levels. Flatten it and try again.`;
          throw new FileProblem('too-large', words);
        }
        break;
      case 0x5d:
      case 0x7d:
        depth--;
    }
  }
}
