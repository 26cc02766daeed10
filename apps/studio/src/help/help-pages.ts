import type { PictureName } from './help-pictures.js';

/** One task, told on one page. */
export interface HelpPage {
  id: string;
  title: string;
  /** Words it is found by besides its title. */
  words: string;
  steps: readonly string[];
  /** Name of its picture. */
  picture: PictureName;
  /** What is to be seen on the picture. */
  shows: string;
}

export const helpPages: readonly HelpPage[] = [
  {
    id: 'first-filter',
    title: 'Put filters on a listing',
    words: 'start first lens begin',
    steps: [
      'Bring posts in on Sources: drop a file, or take the sample. Every field lies on the tray as it was read.',
      'Press “Start a lens” on the tray. A first lens has the facets that suit the fields.',
      'On the Bench, tick things on the live page, and change the facet in hand beside it. Numbers move with you.',
      'Press Publish, then put the line it gives you on your page.',
    ],
    picture: 'bench',
    shows: 'The Bench: the live page in the middle, its facets on one side, the wiring of one on the other',
  },
  {
    id: 'category-tree',
    title: 'Make a category tree filter',
    words: 'hierarchy parent child taxonomy branches terms',
    steps: [
      'On the tray, take the field in hand. If its values are paths such as “Coast > North”, it is a tree already; otherwise say which column is the parent, or shape the tree by hand.',
      '“Shape its terms” opens the room of terms: drop one on another to merge it, drag it to move it in the tree.',
      'On the Bench, add the field as a facet and choose Tree, or Steps for one list a level.',
      'A parent finds all that is below it. Choosing a child narrows its parent.',
    ],
    picture: 'terms',
    shows: 'A taxonomy as a pressed branch, its terms as leaves',
  },
  {
    id: 'share-page',
    title: 'Share a filtered page',
    words: 'link url address query string saved',
    steps: [
      'Everything a visitor chooses is in the page’s address. Copy it from the strip above the live page, or from the browser.',
      '“Save this address” keeps it with what it finds. Before each release it is held to that.',
      'On Addresses, rename what the address says: the old name is still read.',
      'What an address says in error is left out and said so; the rest of it still applies.',
    ],
    picture: 'addresses',
    shows: 'Addresses: the contract of the query string, and saved addresses with what they find',
  },
  {
    id: 'why-missing',
    title: 'Why is my post missing?',
    words: 'not shown hidden wrong posts debug sieve',
    steps: [
      'On the Bench, set the address to what the visitor sees, then press 2 for Why.',
      'Find the post by its title, or look through those that are one step away.',
      'Each column is a facet: what the post has there, and whether that passes.',
      'Open it for ways to let it in, each with how many others would come along.',
    ],
    picture: 'why',
    shows: 'Why: posts that are not shown, each with the facet that keeps it out',
  },
  {
    id: 'nothing-found',
    title: 'Keep visitors from finding nothing',
    words: 'empty dead ends zero counts',
    steps: [
      'Press 4 for Findings, then look for dead ends: pairs of choices that find nothing, most reachable first.',
      'Hide choices without posts, merge terms that mean the same, or show the facet another way.',
      'When nothing matches all the same, visitors are offered the nearest ways out.',
    ],
    picture: 'findings',
    shows: 'Findings: pairs of choices that find nothing, as a table',
  },
  {
    id: 'next-month',
    title: 'Replace the posts next month',
    words: 'import update file new data mend undo',
    steps: [
      'On the tray, press “Replace posts” and drop the new file. What it adds, changes and removes is shown before it is kept.',
      'Mends and shaped terms are rules: they are applied again by themselves.',
      'History keeps every bringing-in of posts; any of them can be taken back.',
    ],
    picture: 'source',
    shows: 'A source: its fields on the tray, with what was found in them',
  },
  {
    id: 'keep-fresh',
    title: 'Keep posts fresh from an address',
    words: 'feed rss atom endpoint api live schedule calendar ping url',
    steps: [
      'On Sources, give the address of a feed, an endpoint, a calendar or a page, and press “Look there”.',
      'The first posts stand there as they would be read. What is read wrong is said otherwise by a press above them.',
      'Say how often it is looked at, and give a key as a header if it wants one. “Keep it fresh” brings all of it in.',
      'On the tray, “Look now” asks at once. If it fails, the posts that came last stay; if many would go, you are asked first.',
    ],
    picture: 'look',
    shows: 'A page looked at before it is kept: its first posts as a table, and how often it is asked',
  },
  {
    id: 'publish-safely',
    title: 'Publish without breaking links',
    words: 'release restore rollback alias rename',
    steps: [
      'Publish tells what visitors will notice, and which changes break addresses.',
      'Saved addresses that would not hold stop the release, until you settle them or publish anyway.',
      'Every name that was ever live stays readable, whatever is renamed.',
      '“Put it live again” brings an earlier release back as a new number; “make it the draft” lets you work on from it.',
    ],
    picture: 'publish',
    shows: 'Publish: releases on a vine, what will be noticed, and the line for the page',
  },
  {
    id: 'without-server',
    title: 'Put it on a site that asks no server',
    words: 'static offline bundle zip export download take along disk',
    steps: [
      'On Publish, “Take it along” packs the newest release with its posts into a zip.',
      'Open index.html from it to see the listing, or put the folder on any web server.',
      'On a page of your own, load ivy-lens.js and put <ivy-lens> where the listing should stand; README.md has the lines.',
      'What was taken stays as it was. When posts or settings change, take it again.',
    ],
    picture: 'publish',
    shows: 'Publish: releases on a vine, what will be noticed, and the line for the page',
  },
];
