import { child, childrenOf, eachElement, textOf, type Element } from './xml.js';

function elements(text: string, local = 'item'): Element[] {
  const found: Element[] = [];
  eachElement(
    text,
    (_uri, name) => name === local,
    (element) => found.push(element),
  );
  return found;
}

test('each element that is wanted comes whole, with its namespaces', () => {
  const [first, second] = elements('<r xmlns:x="urn:x"><item a="1" x:b="2"><t>A</t><x:t>B</x:t></item><item/></r>');
  expect(first!.attributes).toEqual({ a: '1', b: '2', '{urn:x}b': '2' });
  expect([textOf(first!, 't'), textOf(first!, 't', 'urn:x'), childrenOf(first!, 't').length]).toEqual(['A', 'B', 2]);
  expect([second!.children, child(second!, 't'), textOf(second!, 't')]).toEqual([[], undefined, '']);
});

test('one within one that is wanted is a part of it', () => {
  expect(elements('<r><item><item>A</item></item></r>')).toHaveLength(1);
});

test('text, CDATA and signs by their names are one text; “and” may stand for itself', () => {
  const [one] = elements('<r><item>A &amp; B <![CDATA[<C> & D]]> &eacute;&#8211; E & F &unheard</item></r>');
  expect(one!.text).toBe('A & B <C> & D é– E & F &unheard');
});

test('markup within is kept as it stands', () => {
  const [one] = elements(
    '<r><item><div xmlns="http://www.w3.org/1999/xhtml"><p class="a&quot;b">x &lt; y<br/></p></div></item></r>',
  );
  expect(one!.markup).toBe('<div><p class="a&quot;b">x &lt; y<br/></p></div>');
});

test.each([
  ['<r><item></r>', /broken near line 1: unexpected close tag/],
  ['<r>\n<item>&unheard;</item></r>', /broken near line 2: undefined entity/],
  ['<!DOCTYPE r [<!ENTITY a "b">]><r/>', /declares entities of its own/],
  [`${'<a>'.repeat(40)}`, /nests deeper than 32/],
])('%j is refused: %s', (text, words) => {
  expect(() => elements(text)).toThrow(words);
});

test('a doctype that only names its rules is let through', () => {
  expect(elements('<!DOCTYPE rss PUBLIC "-//X//DTD" "http://a.example/x.dtd"><r><item/></r>')).toHaveLength(1);
});
