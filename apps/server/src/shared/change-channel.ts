/** What changed: a source's posts, or a lens's draft or releases. */
export type Change =
  /** `few`: terms alone, or few posts; what was held before goes on being given until what comes after it is there. */
  { kind: 'source'; id: string; few?: boolean } | { kind: 'lens'; slug: string };

/** The channel of PostgreSQL on which every process is told. */
export const changeChannel = 'ivy_change';
