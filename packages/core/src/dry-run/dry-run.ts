import { type Answer } from '../lens/answer.js';
import { type Notice } from '../model/notice.js';
import { parameterNames, readAddress, type AddressReading } from '../address/read.js';
import { answer } from '../answer/answer.js';
import { zoneDays } from '../dates/zone.js';
import type { PostIndex } from '../engine/index/post-index.js';

import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import { matchEffects, type MatchEffect } from './effects.js';
import { rankMoves, type RankMove } from './rank-moves.js';
import { specimensOf, type Specimen } from './specimens.js';
import { termLooks, type TermLook } from '../lens/term-looks.js';
import { sieve, type Sieve } from '../why/sieve.js';
import { settingsOf, type Settings } from '../lens/settings.js';

/** What a lens is called, and the slug of its source. */
export interface About {
  name: string;
  source: string;
}

/** All the Bench shows of a lens at an address. */
export interface DryRun {
  settings: Settings;
  answer: Answer;
  sieve: Sieve;
  effects: Record<string, MatchEffect>;
  /** Of searches with weights of their own: what these do to the first page. */
  moves: Record<string, RankMove[]>;
  /** Posts that strain the card. */
  specimens: Specimen[];
  /** Terms that are shown with a colour or a picture. */
  looks: TermLook[];
}

/**
 * Answers an address as visitors would have it answered at a moment.
 * @param address  a query string
 * @param now      milliseconds; what is shuffled is shuffled anew each day of the lens's zone
 */
export function answerAddress(index: PostIndex, lens: Lens, address: string, now: number): Answer {
  const { query, notices } = readQuestion(index, lens, address, now);
  return answer(index, query, notices);
}

/**
 * An address read for an answer at a moment: `prepareAnswer` and `answer` are to be given this very query.
 * @param from  where pages stand below one another: the first one wanted; without it, the address's own page alone
 */
export function readQuestion(
  index: PostIndex,
  lens: Lens,
  address: string,
  now: number,
  from?: number,
): AddressReading {
  const reading = readAddress(address, lens, index, now);
  const seed = String(zoneDays(lens.zone).dayAt(now));
  reading.query.seed = seed;
  if (from !== undefined) reading.query.from = from;
  return reading;
}

/**
 * What a page needs to draw a lens over an index.
 */
export function pageSettings(index: PostIndex, lens: Lens, about: About): Settings {
  return settingsOf(lens, index.fields, parameterNames(lens).keys(), about);
}

/** Tries a lens out, wherever the index is: on the server or in a worker of the Bench. */
export function dryRun(index: PostIndex, lens: Lens, about: About, address: string, now: number, from = 1): DryRun {
  const { query, notices } = readQuestion(index, lens, address, now, from);
  return dryRunOfQuestion(index, lens, about, query, notices);
}

/** The same of an address that is read already. */
export function dryRunOfQuestion(
  index: PostIndex,
  lens: Lens,
  about: About,
  query: Query,
  notices: readonly Notice[],
): DryRun {
  const answered = answer(index, query, notices);
  return {
    settings: pageSettings(index, lens, about),
    answer: answered,
    sieve: sieve(index, query),
    effects: matchEffects(index, query),
    moves: rankMoves(index, query, answered),
    specimens: specimensOf(index, lens),
    looks: termLooks(index, lens),
  };
}
