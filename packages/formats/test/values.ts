import { column, csv, times, type Case } from './case.js';

/** Numbers, days, answers and terms. */
export const values: Record<string, Case> = {
  // numbers
  'thousands by points': {
    file: column('visits', ['1.234', '12.000', '999,5']),
    is: { visits: 'number decimal comma' },
    read: ['visits', [1234, 12000, 999.5]],
  },
  'thousands by thin blanks': {
    file: column('visits', ['1 234', '12 000', '999']),
    read: ['visits', [1234, 12000, 999]],
  },
  'euros with a comma': { file: column('price', ['1,10 €', '12,00 €', '3,5 €']), read: ['price', [1.1, 12, 3.5]] },
  'money with its three letters': {
    file: column('price', ['EUR 12', 'EUR 3.50', 'EUR 100']),
    is: { price: 'number in EUR' },
    read: ['price', [12, 3.5, 100]],
  },
  minutes: {
    file: column('reading', ['12 min', '3 min', '45 min']),
    is: { reading: 'number in min' },
    read: ['reading', [12, 3, 45]],
  },
  'kilometres without a blank': {
    file: column('length', ['3.5km', '12km', '0.4km']),
    is: { length: 'number in km' },
    read: ['length', [3.5, 12, 0.4]],
  },
  'per cent': { file: column('share', ['-3 %', '12 %', '0.5 %']), read: ['share', [-3, 12, 0.5]] },
  'no figure before the point': { file: column('p', ['.078', '.5', '1']), read: ['p', [0.078, 0.5, 1]] },
  'ranks are no numbers with a unit': {
    file: column('rank', ['1st', '2nd', '3rd', '4th', '5th', '6th']),
    is: { rank: 'text' },
  },
  'one word among numbers': {
    file: column('height', [...Array.from({ length: 24 }, (_, i) => String(i + 1)), 'high']),
    is: { height: 'number' },
    found: ['unreadable-values in height'],
  },
  'a letter among figures': {
    file: column('height', [...Array.from({ length: 24 }, (_, i) => String(i + 10)), '1O']),
    found: ['unreadable-values in height'],
  },
  'post codes with noughts in front': { file: column('zip', ['01067', '20095', '80331']), is: { zip: 'text' } },
  'years alone': { file: column('year', ['2019', '2020', '2021']), is: { year: 'number' } },
  'places on the globe': {
    file: csv('id,title,lat,lng', '1,A,53.52,8.11', '2,B,-12.5,170.25'),
    is: { lat: 'number', lng: 'number' },
  },
  'one word among a few numbers': {
    file: column('height', ['1', '2', '3', '4', '5', '6', '7', '8', '9', 'high']),
    is: { height: 'number' },
    found: ['unreadable-values in height'],
  },
  // days
  'days first': {
    file: column('seen', ['30/05/2026', '01/06/2026', '12/06/2026']),
    read: ['seen', ['2026-05-30', '2026-06-01', '2026-06-12']],
    not: ['ambiguous-dates in seen'],
  },
  'months first': {
    file: column('seen', ['05/30/2026', '06/01/2026', '06/12/2026']),
    read: ['seen', ['2026-05-30', '2026-06-01', '2026-06-12']],
  },
  'days that could be either': {
    file: column('seen', ['03/04/2026', '05/06/2026']),
    found: ['ambiguous-dates in seen'],
  },
  'a day that is none': {
    file: column('seen', [...times(5, '30/04/2026'), '31/02/2026']),
    is: { seen: 'date as published' },
    found: ['impossible-dates in seen'],
  },
  'words among days': {
    file: column('seen', [...times(5, '2026-04-30'), 'late May']),
    found: ['unreadable-values in seen'],
  },
  'one word among four days': {
    file: column('seen', ['2026-04-28', '2026-04-29', '2026-04-30', 'soon']),
    is: { seen: 'date as published' },
    found: ['unreadable-values in seen'],
  },
  'one the other way round': {
    file: column('seen', [...times(5, '30/04/2026'), '05/31/2026']),
    found: ['mixed-dates in seen'],
  },
  'a year mistyped': {
    file: column('seen', [...times(12, '2026-04-30'), '2206-04-30']),
    found: ['future-dates in seen'],
  },
  'a programme of what is to come': {
    file: column('starts', ['2026-07-10', '2026-08-01', '2026-09-01']),
    not: ['future-dates in starts'],
  },
  'days by points': {
    file: column('datum', ['5.3.2026', '12.11.2026']),
    read: ['datum', ['2026-03-05', '2026-11-12']],
  },
  'days in German words': {
    file: column('datum', ['5. März 2026', 'Do., 1. Jan. 2026']),
    read: ['datum', ['2026-03-05', '2026-01-01']],
  },
  'days in Portuguese words': {
    file: column('data', ['5 de março de 2026', '1 de janeiro de 2026']),
    read: ['data', ['2026-03-05', '2026-01-01']],
  },
  'days in Dutch words': {
    file: column('datum', ['5 maart 2026', '12 mei 2026']),
    read: ['datum', ['2026-03-05', '2026-05-12']],
  },
  'days and hours with slashes': {
    file: column('at', ['2015/01/01 01:00:00', '2015/01/02 13:30:00']),
    is: { at: 'datetime as published' },
    read: ['at', ['2015-01-01T01:00:00', '2015-01-02T13:30:00']],
  },
  'moments with zones': {
    file: column('at', ['2026-03-05T10:20:30+01:00', '2026-03-05T10:20:30Z']),
    read: ['at', ['2026-03-05T10:20:30+01:00', '2026-03-05T10:20:30Z']],
  },
  'days as mail writes them': {
    file: column('at', ['Sat, 07 Mar 2026 10:00:00 +0100', 'Sun, 08 Mar 2026 10:00:00 GMT']),
    is: { at: 'datetime as published' },
  },
  'seconds since 1970': {
    file: column('created_at', ['1767225600', '1767312000']),
    read: ['created_at', ['2026-01-01T00:00:00Z', '2026-01-02T00:00:00Z']],
  },
  'milliseconds since 1970': {
    file: column('timestamp', ['1767225600000', '1767312000000']),
    read: ['timestamp', ['2026-01-01T00:00:00Z', '2026-01-02T00:00:00Z']],
  },
  'a pair of days': {
    file: csv('id,title,starts,ends', '1,A,2026-03-01,2026-03-05', '2,B,2026-04-01,2026-04-02'),
    is: { starts: 'date as published until ends' },
  },
  'a span that ends before it begins': {
    file: csv('id,title,start_date,end_date', '1,A,2026-03-09,2026-03-05', '2,B,2026-04-01,2026-04-02'),
    found: ['ends-before-starts in start_date'],
  },
  // yes and no
  'yes and no in Polish': { file: column('open', ['tak', 'nie', 'tak']), read: ['open', [true, false, true]] },
  'yes and no in Japanese': { file: column('open', ['はい', 'いいえ', 'はい']), read: ['open', [true, false, true]] },
  'true and false, in capitals': {
    file: column('open', ['TRUE', 'FALSE', 'TRUE']),
    read: ['open', [true, false, true]],
  },
  'nothing for no': { file: column('open', ['yes', '', 'no', '']), found: ['gaps in open'] },
  // terms
  'capitals that got lost': {
    file: column('kind', [...times(4, 'Mudflat'), 'mudflat', 'Reed', 'Reed']),
    found: ['near-twins in kind'],
  },
  'an accent that got lost': {
    file: column('kind', [...times(4, 'Étang'), 'Etang', 'Reed', 'Reed']),
    found: ['near-twins in kind'],
  },
  'a sharp s': {
    file: column('kind', [...times(4, 'Straße'), 'Strasse', 'Weg', 'Weg']),
    found: ['near-twins in kind'],
  },
  'letters of full width': {
    file: column('kind', [...times(4, 'ABC'), 'ＡＢＣ', 'x', 'x']),
    found: ['near-twins in kind'],
  },
  'numbers after a word': {
    file: column('kind', ['Stage 1', 'Stage 2', 'Stage 1', 'Stage 2']),
    not: ['near-twins in kind'],
    is: { kind: 'terms' },
  },
  'names that only signs tell apart': {
    file: column('language', ['C++', 'C#', 'C++', 'C#', 'C']),
    found: ['slug-clashes in language'],
  },
  'lists by commas': {
    file: column('tags', ['mud, reed', 'reed', 'mud', 'mud, lagoon', 'lagoon']),
    is: { tags: 'terms by ,' },
  },
  'lists with commas all around': {
    file: column('tags', [',mud,reed,', ',reed,', ',mud,', ',reed,mud,']),
    is: { tags: 'terms by ,' },
    read: ['tags', [['mud', 'reed'], ['reed'], ['mud'], ['reed', 'mud']]],
  },
  'places with a comma': {
    file: column('place', ['Paris, France', 'Lyon, France', 'Paris, France', 'Lyon, France']),
    is: { place: 'terms' },
  },
  'lists by bars': { file: column('tags', ['a|b', 'b|c', 'c|a']), is: { tags: 'terms by |' } },
  'lists by semicolons': {
    file: column('tags', ['a; b', 'b; c', 'c; a']),
    is: { tags: 'terms by ;' },
    read: [
      'tags',
      [
        ['a', 'b'],
        ['b', 'c'],
        ['c', 'a'],
      ],
    ],
  },
  'a term on every post': {
    file: column('tags', ['all|a', 'all|b', 'all|a', 'all|b', 'all|a']),
    found: ['on-every-post in tags'],
  },
  paths: {
    file: column('place', ['North > Point', 'North > Sands', 'South > Hide', 'North > Point']),
    is: { place: 'terms branches >' },
  },
  'a path that lacks its branch': {
    file: column('place', ['North > Point', 'North > Sands', 'South > Hide', 'South > Quay', 'Point']),
    found: ['off-branch in place'],
  },
  'a column of parents': {
    file: csv(
      'id,title,topic,topic_parent',
      '1,A,Mudflat,Shore',
      '2,B,Shingle,Shore',
      '3,C,Mudflat,Shore',
      '4,D,Reed,Wetland',
      '5,E,Reed,Wetland',
    ),
    is: { topic: 'terms under topic_parent', topic_parent: 'left out' },
  },
  'parents in a circle': {
    file: csv('id,title,topic,topic_parent', ...[0, 1].flatMap((i) => [`${i}1,A${i},X,Y`, `${i}2,B${i},Y,X`])),
    found: ['tree-cycles in topic'],
  },
};
