/** What changed: a source's posts, or a lens's draft or releases. */
export type Change = { kind: 'source'; id: string } | { kind: 'lens'; slug: string };

/** The channel of PostgreSQL on which every process is told. */
export const changeChannel = 'ivy_change';
