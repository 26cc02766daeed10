import { parameterNames, readAddress } from '../address/read.js';
import { answer } from '../answer/answer.js';
import { zoneDays } from '../dates/zone.js';
import type { PostIndex } from '../index/post-index.js';
import type { Answer } from '../model/answer.js';
import type { Lens } from '../model/lens.js';
import { matchEffects, type MatchEffect } from './effects.js';
import { settingsOf, type Settings } from './settings.js';

/** All the Bench shows of a lens at an address. */
export interface Trial {
  settings: Settings;
  answer: Answer;
  effects: Record<string, MatchEffect>;
}

/**
 * Answers an address as visitors would have it answered at a moment.
 * @param address  a query string
 * @param now      milliseconds; what is shuffled is shuffled anew each day of the lens's zone
 */
export function answerAddress(index: PostIndex, lens: Lens, address: string, now: number): Answer {
  const { query, notices } = readAddress(address, lens, index);
  return answer(index, { ...query, seed: String(zoneDays(lens.zone).dayAt(now)) }, notices);
}

/**
 * What a page needs to draw a lens over an index.
 * @param source  slug of the source
 */
export function pageSettings(index: PostIndex, lens: Lens, source: string): Settings {
  return settingsOf(lens, index.fields, parameterNames(lens).keys(), source);
}

/** Tries a lens out, wherever the index is: on the server or in a worker of the Bench. */
export function tryLens(index: PostIndex, lens: Lens, source: string, address: string, now: number): Trial {
  const { query } = readAddress(address, lens, index);
  return {
    settings: pageSettings(index, lens, source),
    answer: answerAddress(index, lens, address, now),
    effects: matchEffects(index, query),
  };
}
