import fc from 'fast-check';
import type { Concept } from './concept.js';
import { readSkos } from './read-skos.js';
import { writeJsonLd, writeTurtle } from './write-skos.js';

const utf8 = (text: string) => new TextEncoder().encode(text);
const label = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }).map((text) => text.trim() || 'A');
/** A tree of terms, depth first. */
const taxonomy = fc
  .array(
    fc.record({
      label,
      up: fc.nat({ max: 5 }),
      aliases: fc.uniqueArray(fc.stringMatching(/^[a-z]{1,6}$/), { maxLength: 2 }),
      hidden: fc.boolean(),
      picture: fc.option(fc.constant('/pictures/a.svg')),
      colour: fc.option(fc.constant('#1f5b40')),
    }),
    { minLength: 1, maxLength: 15 },
  )
  .map((all) => {
    const path: string[] = [];
    return all.map(({ up, ...one }, i): Concept => {
      path.splice(Math.max(0, path.length - up));
      const concept = { ...one, slug: `t-${i}`, parent: path.at(-1) ?? null };
      path.push(concept.slug);
      return concept;
    });
  });

test.each([
  ['JSON-LD', writeJsonLd],
  ['Turtle', writeTurtle],
])('what goes out as %s comes in again unchanged', (_name, write) => {
  fc.assert(
    fc.property(taxonomy, (concepts) => {
      expect(readSkos(utf8(write(concepts, 'A "name"')))).toEqual(concepts);
    }),
  );
});

const told = (text: string, language?: string) =>
  readSkos(utf8(text), language).map(({ slug, label, parent }) => `${parent ?? ''}/${slug} ${label}`);

test('Turtle of others is read, with labels of a language', () => {
  const text = `@prefix skos: <http://www.w3.org/2004/02/skos/core#> . @prefix h: <https://a.example/h/> .
h:shore a skos:Concept ; skos:prefLabel "Shore"@en, "Küste"@de ; skos:narrower h:mudflat .
h:mudflat skos:prefLabel "Watt"@de, "Mudflat"@en .
<https://a.example/> a skos:ConceptScheme ; skos:prefLabel "Habitats" .`;
  expect(told(text)).toEqual(['/shore Shore', 'shore/mudflat Mudflat']);
  expect(told(text, 'de')).toEqual(['/shore Küste', 'shore/mudflat Watt']);
});

test('RDF/XML of others is read', () => {
  const text = `<?xml version="1.0"?><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns:skos="http://www.w3.org/2004/02/skos/core#">
<skos:Concept rdf:about="https://a.example/h#shore"><skos:prefLabel xml:lang="en">Shore</skos:prefLabel></skos:Concept>
<rdf:Description rdf:about="https://a.example/h#mud"><rdf:type rdf:resource="http://www.w3.org/2004/02/skos/core#Concept"/><skos:prefLabel>Mudflat</skos:prefLabel><skos:broader rdf:resource="https://a.example/h#shore"/></rdf:Description></rdf:RDF>`;
  expect(told(text)).toEqual(['/shore Shore', 'shore/mud Mudflat']);
});

test('JSON-LD of others is read: prefixes, languages, things within things', () => {
  const text = JSON.stringify({
    '@context': { skos: 'http://www.w3.org/2004/02/skos/core#' },
    '@graph': [
      {
        '@id': 'https://a.example/h/shore',
        '@type': 'skos:Concept',
        'skos:prefLabel': { en: 'Shore', de: 'Küste' },
        'skos:narrower': [
          { '@id': 'h:mud', '@type': 'skos:Concept', 'skos:prefLabel': [{ '@value': 'Mudflat', '@language': 'en' }] },
        ],
      },
    ],
  });
  expect(told(text, 'de')).toEqual(['/shore Küste', 'shore/mud Mudflat']);
});

test('what goes round in a circle stands at the top, and what is none is refused', () => {
  const circle =
    '@prefix s: <http://www.w3.org/2004/02/skos/core#> . <#a> s:prefLabel "A" ; s:broader <#b> . <#b> s:prefLabel "B" ; s:broader <#a> .';
  expect(told(circle)).toEqual(['/a A', '/b B']);
  expect(() => told('{"a":1}')).toThrow('no concept');
  expect(() => told('nonsense')).toThrow('The Turtle is broken');
});
