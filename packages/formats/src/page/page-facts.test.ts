import { pageFacts } from './page-facts.js';

const address = 'https://example.org/news';
const facts = (html: string) => pageFacts(html, address);

test('scripts, elements and policies are found, relative to the page', () => {
  const found = facts(`<meta http-equiv="Content-Security-Policy" content="script-src 'self'">
    <script type="module" src="//ivy.example/embed/ivy-lens.js"></script><script src="/site.js"></script><script>inline</script>
    <ivy-lens name="notes" style="display:block;min-height:90vh"></ivy-lens><ivy-results name="notes" prefix="n-"></ivy-results>`);
  expect(found.scripts).toEqual([
    { address: 'https://ivy.example/embed/ivy-lens.js', isModule: true, lens: '' },
    { address: 'https://example.org/site.js', isModule: false, lens: '' },
  ]);
  expect(found.elements).toEqual([
    { tag: 'ivy-lens', name: 'notes', prefix: null, keepsRoom: true },
    { tag: 'ivy-results', name: 'notes', prefix: 'n-', keepsRoom: false },
  ]);
  expect(found.policies).toEqual(["script-src 'self'"]);
});

test('names that the page has in its own address are those of its forms and of links to itself', () => {
  const found = facts(`<form><input name="q"><input></form><form data-ivy-for="x"><input name="habitat"></form>
    <a href="?page=2&lang=de">2</a><a href="/other?sort=a">x</a><a href="https://elsewhere.example/news?tag=b">y</a>`);
  expect(found.parameters).toEqual(['q', 'page', 'lang']);
});

test('ids that stand twice and levels that are left out are told', () => {
  expect(facts('<h1 id="a">N</h1><h2>n</h2><h4 id="a">x</h4><p id="b">')).toMatchObject({
    twice: ['a'],
    skipped: [2, 4],
  });
  expect(facts('<h2>n</h2><h3>x</h3><h2>y</h2>')).toMatchObject({ twice: [], skipped: null });
});

test('what is no page has none of it', () => {
  expect(facts('')).toEqual({ scripts: [], elements: [], policies: [], parameters: [], twice: [], skipped: null });
});
