import { depiction, own, rdf, skos, type Concept } from './concept.js';

/** Writes a taxonomy as SKOS in JSON-LD: the terms depth first, in their order. */
export function writeJsonLd(concepts: readonly Concept[], name: string): string {
  const graph = concepts.map(({ slug, label, parent, aliases, hidden, picture, colour }) => ({
    '@id': idOf(slug),
    '@type': 'Concept',
    notation: slug,
    prefLabel: label,
    ...(parent === null ? { topConceptOf: '#scheme' } : { broader: idOf(parent) }),
    ...(aliases.length > 0 && { hiddenLabel: aliases }),
    ...(hidden && { hidden: true }),
    ...(picture !== null && { depiction: picture }),
    ...(colour !== null && { colour }),
  }));
  const context = {
    '@vocab': skos,
    broader: { '@type': '@id' },
    topConceptOf: { '@type': '@id' },
    depiction: { '@id': depiction },
    hidden: `${own}hidden`,
    colour: `${own}colour`,
  };
  const scheme = { '@id': '#scheme', '@type': 'ConceptScheme', prefLabel: name };
  return `${JSON.stringify({ '@context': context, '@graph': [scheme, ...graph] }, null, 1)}\n`;
}

/** Writes a taxonomy as SKOS in Turtle. */
export function writeTurtle(concepts: readonly Concept[], name: string): string {
  const parts = concepts.map(({ slug, label, parent, aliases, hidden, picture, colour }) => {
    const said = [
      `skos:notation ${quoted(slug)}`,
      `skos:prefLabel ${quoted(label)}`,
      parent === null ? 'skos:topConceptOf <#scheme>' : `skos:broader <${idOf(parent)}>`,
      ...aliases.map((alias) => `skos:hiddenLabel ${quoted(alias)}`),
      ...(hidden ? ['ivy:hidden true'] : []),
      ...(picture === null ? [] : [`<${depiction}> ${quoted(picture)}`]),
      ...(colour === null ? [] : [`ivy:colour ${quoted(colour)}`]),
    ];
    return `<${idOf(slug)}> a skos:Concept ;\n  ${said.join(' ;\n  ')} .\n`;
  });
  const head = `@prefix skos: <${skos}> .\n@prefix ivy: <${own}> .\n@prefix rdf: <${rdf}> .\n`;
  return `${head}\n<#scheme> a skos:ConceptScheme ;\n  skos:prefLabel ${quoted(name)} .\n\n${parts.join('\n')}`;
}

function idOf(slug: string): string {
  return `#${encodeURIComponent(slug)}`;
}

/** A text as Turtle writes it between quotes. */
function quoted(text: string): string {
  const escapes: Record<string, string> = { '\\': '\\\\', '"': '\\"', '\n': '\\n', '\r': '\\r', '\t': '\\t' };
  return `"${text.replace(/[\\"\n\r\t]/g, (sign) => escapes[sign]!)}"`;
}
