import { addTo } from '../add-to.js';
import { slugify } from '@ivy/core';
import { Parser, type Quad } from 'n3';
import { decodeText } from '../decode.js';
import { eachElement, type Element } from '../feed/xml.js';
import { FileProblem } from '../file-problem.js';
import { isObject } from '../json/is-object.js';
import { parseJson } from '../json/parse.js';
import { depiction, mostConcepts, own, rdf, skos, type Concept } from './concept.js';

/** One statement: what it is of, what it says, and a text or another thing. */
interface Triple {
  subject: string;
  predicate: string;
  value: string;
  isThing: boolean;
  language: string;
}

/**
 * Reads a taxonomy in SKOS: JSON-LD, Turtle or RDF/XML, told by how it begins.
 * @param language  of the labels that are taken, where there are several; else the one without, or the first
 * @throws FileProblem with a sentence for people
 */
export function readSkos(bytes: Uint8Array, language = ''): Concept[] {
  const text = decodeText(bytes).replace(/^\ufeff/, '');
  const start = text.trimStart();
  const triples = /^[[{]/.test(start)
    ? fromJsonLd(text)
    : /^<(?:\?xml|rdf:|\w+:RDF)/.test(start)
      ? fromXml(text)
      : fromTurtle(text);
  const concepts = conceptsOf(triples, language);
  if (concepts.length === 0) {
    throw new FileProblem('no-posts', 'There is no concept of SKOS in this: each has a “prefLabel”.');
  }
  return concepts;
}

function fromTurtle(text: string): Triple[] {
  let quads: Quad[];
  try {
    quads = new Parser({ baseIRI: 'urn:base:' }).parse(text);
  } catch (error) {
    const line = (error as { context?: { line?: number } }).context?.line;
    throw new FileProblem(
      'broken-file',
      `The Turtle is broken${line === undefined ? '' : ` near line ${line}`}. Mend it there.`,
    );
  }
  return quads.map(({ subject, predicate, object }) => ({
    ...{ subject: subject.value, predicate: predicate.value, value: object.value },
    isThing: object.termType !== 'Literal',
    language: object.termType === 'Literal' ? object.language : '',
  }));
}

function fromXml(text: string): Triple[] {
  const triples: Triple[] = [];
  const about = (element: Element) => element.attributes[`{${rdf}}about`] ?? element.attributes[`{${rdf}}ID`] ?? '';
  eachElement(
    text,
    (uri, local, depth) => depth === 1 && (uri === skos || (uri === rdf && local === 'Description')),
    (element) => {
      const subject = about(element);
      if (element.uri === skos) triples.push(thing(subject, `${rdf}type`, `${skos}${element.local}`));
      for (const said of element.children) {
        const resource = said.attributes[`{${rdf}}resource`];
        const inner = said.children[0] && about(said.children[0]);
        const predicate = `${said.uri}${said.local}`;
        const language = said.attributes['{http://www.w3.org/XML/1998/namespace}lang'] ?? '';
        if (resource !== undefined || inner) triples.push(thing(subject, predicate, resource ?? inner!));
        else triples.push({ subject, predicate, value: said.text.trim(), isThing: false, language });
      }
    },
  );
  return triples;
}

function thing(subject: string, predicate: string, value: string): Triple {
  return { subject, predicate, value, isThing: true, language: '' };
}

/** Names that JSON-LD may shorten, and what they stand for. */
const known: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    'Concept ConceptScheme notation prefLabel altLabel hiddenLabel broader narrower topConceptOf hasTopConcept inScheme'
      .split(' ')
      .map((name) => [name, skos + name]),
  ),
  ...{ depiction, hidden: `${own}hidden`, colour: `${own}colour` },
};

/** JSON-LD as it is written of SKOS: contexts are not fetched, and names stand for what their ends say. */
function fromJsonLd(text: string): Triple[] {
  const triples: Triple[] = [];
  const nameOf = (key: string) => known[key.replace(/^.*[#/:]/, '')] ?? key;
  let unnamed = 0;
  const visit = (node: Record<string, unknown>): string => {
    const subject =
      typeof node['@id'] === 'string' ? node['@id'] : typeof node.id === 'string' ? node.id : `_:${unnamed++}`;
    const say = (predicate: string, value: unknown, language = ''): void => {
      if (Array.isArray(value)) for (const one of value) say(predicate, one, language);
      else if (isObject(value)) sayObject(predicate, value);
      else if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') {
        triples.push({ subject, predicate, value: String(value), isThing: things.has(predicate), language });
      }
    };
    const sayObject = (predicate: string, value: Record<string, unknown>) => {
      if (value['@list'] !== undefined) return say(predicate, value['@list']);
      if (value['@value'] !== undefined) {
        return say(predicate, value['@value'], typeof value['@language'] === 'string' ? value['@language'] : '');
      }
      const isReference = value['@id'] !== undefined || value.id !== undefined;
      if (isReference || value['@type'] !== undefined)
        return void triples.push(thing(subject, predicate, visit(value)));
      // texts by their languages
      for (const [language, words] of Object.entries(value))
        say(predicate, words, language === '@none' ? '' : language);
    };
    for (const [key, value] of Object.entries(node)) {
      if (key === '@type' || key === 'type') {
        for (const type of [value].flat())
          if (typeof type === 'string') triples.push(thing(subject, `${rdf}type`, nameOf(type)));
      } else if (key === '@graph' || key === '@included') {
        for (const one of [value].flat()) if (isObject(one)) visit(one);
      } else if (!key.startsWith('@') && key !== 'id') say(nameOf(key), value);
    }
    return subject;
  };
  for (const one of [parseJson(text)].flat()) if (isObject(one)) visit(one);
  return triples;
}

const things = new Set(['broader', 'narrower', 'topConceptOf', 'hasTopConcept', 'inScheme'].map((name) => skos + name));

/** Concepts of statements, each under what is said to be above it; those that go round in a circle stand at the top. */
function conceptsOf(triples: readonly Triple[], language: string): Concept[] {
  const by = new Map<string, Triple[]>();
  for (const triple of triples) {
    const own = by.get(triple.subject);
    if (own) own.push(triple);
    else by.set(triple.subject, [triple]);
  }
  const above = new Map<string, string>();
  const ids = new Set<string>();
  for (const { subject, predicate, value } of triples) {
    if (predicate === `${rdf}type` && value === `${skos}Concept`) ids.add(subject);
    if (predicate === `${skos}prefLabel` && !by.get(subject)!.some(isScheme)) ids.add(subject);
    if (predicate === `${skos}broader` && !above.has(subject)) above.set(subject, value);
    if (predicate === `${skos}narrower` && !above.has(value)) above.set(value, subject);
  }
  if (ids.size > mostConcepts) {
    throw new FileProblem('too-many', `There are ${ids.size} concepts; at most ${mostConcepts} are read.`);
  }
  const slugs = slugsOf([...ids], by);
  const concepts = new Map([...ids].map((id) => [id, conceptOf(id, by.get(id) ?? [], slugs, language)]));
  for (const id of ids) {
    const parent = above.get(id);
    if (parent !== undefined && ids.has(parent) && !isInCircle(id, above))
      concepts.get(id)!.parent = slugs.get(parent)!;
  }
  return depthFirst([...concepts.values()]);
}

function isScheme({ predicate, value }: Triple): boolean {
  return predicate === `${rdf}type` && value === `${skos}ConceptScheme`;
}

function isInCircle(id: string, above: ReadonlyMap<string, string>): boolean {
  const seen = new Set([id]);
  for (let at = above.get(id); at !== undefined; at = above.get(at)) {
    if (seen.has(at)) return true;
    seen.add(at);
  }
  return false;
}

/** What each goes by: its notation, else the end of its address; a second of one name gets a number. */
function slugsOf(ids: readonly string[], by: ReadonlyMap<string, readonly Triple[]>): Map<string, string> {
  const taken = new Set<string>();
  return new Map(
    ids.map((id) => {
      const notation = by.get(id)?.find(({ predicate }) => predicate === `${skos}notation`)?.value;
      const end = id.replace(/^.*[#/:]/, '');
      const bare = notation ?? (slugify(safeDecode(end)) || 'term');
      let slug = bare;
      for (let n = 2; taken.has(slug); n++) slug = `${bare}-${n}`;
      taken.add(slug);
      return [id, slug];
    }),
  );
}

function safeDecode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

function conceptOf(id: string, said: readonly Triple[], slugs: ReadonlyMap<string, string>, language: string): Concept {
  const all = (name: string) => said.filter(({ predicate }) => predicate === name);
  const labels = all(`${skos}prefLabel`);
  const label =
    labels.find((one) => language !== '' && one.language === language) ??
    labels.find((one) => one.language === '') ??
    labels.find((one) => one.language === 'en') ??
    labels[0];
  const [colour] = all(`${own}colour`);
  return {
    slug: slugs.get(id)!,
    label: (label?.value ?? slugs.get(id)!).trim().slice(0, 200),
    parent: null,
    aliases: all(`${skos}hiddenLabel`).map(({ value }) => value),
    hidden: all(`${own}hidden`).some(({ value }) => value === 'true'),
    picture: all(depiction)[0]?.value ?? null,
    colour: colour && /^#[0-9a-f]{6}$/i.test(colour.value) ? colour.value : null,
  };
}

/** What stands under a term comes after it, each in the order it was said. */
function depthFirst(concepts: readonly Concept[]): Concept[] {
  const under = new Map<string | null, Concept[]>();
  for (const one of concepts) addTo(under, one.parent, one);
  const ordered: Concept[] = [];
  const open = [...(under.get(null) ?? [])].reverse();
  for (let one = open.pop(); one; one = open.pop()) {
    ordered.push(one);
    open.push(...[...(under.get(one.slug) ?? [])].reverse());
  }
  return ordered;
}
