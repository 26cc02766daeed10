/**
 * The posts of source `$1` with the ids `$2`, to select from. Joined to the ids rather than asked for by a list of them: of posts
 * that came in a moment ago PostgreSQL knows too little to tell that an index finds a list of them sooner.
 */
export const postsAsked = 'unnest($2::text[]) AS asked (asked_id) JOIN post ON source_id = $1 AND id = asked_id';
