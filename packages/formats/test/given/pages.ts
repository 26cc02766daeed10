import { zipOf } from '../sheet.js';
import type { GivenCase } from './case.js';

export const pages: Record<string, GivenCase> = {
  'Markdown with YAML, in folders': {
    name: 'notes.zip',
    bytes: zipOf({
      'site/shore/2026-05-01-terns.md': '---\ntitle: Terns\ntags: [birds, shore]\ndraft: false\n---\nLow **tide**.\n',
      'site/shore/index.md': '# The shore\n\nAll of it.',
      'site/marsh/deep/eels.md': '---\ntitle: Eels\ndate: 2026-04-02\n---\n',
    }),
    ...{ format: 'markdown', records: 3 },
    first: {
      path: 'shore/2026-05-01-terns',
      title: 'Terns',
      date: '2026-05-01',
      folder: 'shore',
      tags: ['birds', 'shore'],
    },
    last: { title: 'Eels', date: '2026-04-02', folder: 'marsh > deep' },
  },
  'Markdown with TOML': {
    ...{
      name: 'a.md',
      bytes: '+++\ntitle = "Terns"\ndate = 2026-05-01\n[extra]\ntide = "ebb"\n+++\nText',
      format: 'markdown',
      records: 1,
    },
    first: { title: 'Terns', date: '2026-05-01', 'extra.tide': 'ebb', content: '<p>Text</p>' },
  },
  'Markdown with a heading and nothing above': {
    ...{
      name: 'walk.md',
      bytes: '# A long walk\n\n<script>alert(1)</script>\n\n[x](javascript:alert(1))',
      format: 'markdown',
      records: 1,
    },
    first: {
      title: 'A long walk',
      content: '&lt;script&gt;alert(1)&lt;/script&gt;\n<p><a href="">x</a></p>',
    },
  },
  'Markdown of which one is broken': {
    ...{ name: 'a.zip', format: 'markdown', records: 1, rejected: [undefined] },
    bytes: zipOf({ 'a.md': '---\ntitle: "A\n---\nText', 'b.md': '---\ntitle: B\n---\nText' }),
  },
  'Markdown without folders as terms': {
    ...{ name: 'a.zip', options: { folders: false }, format: 'markdown', records: 2 },
    bytes: zipOf({ 'a/x.md': 'X', 'b/y.md': 'Y' }),
    first: { path: 'a/x', title: 'x' },
  },
  'a zip with one table': {
    ...{
      name: 'a.zip',
      bytes: zipOf({ 'data/notes.csv': 'id,title\n1,A', '__MACOSX/._notes.csv': 'x' }),
      format: 'csv',
      records: 1,
    },
    first: { id: '1' },
  },
  'a zip with several tables': {
    ...{
      name: 'a.zip',
      bytes: zipOf({ 'may.csv': 'id,title\n1,A', 'june.csv': 'id,title\n2,B\n3,C' }),
      format: 'csv',
      records: 3,
    },
    first: { id: '1', file: 'may.csv' },
    last: { id: '3', file: 'june.csv' },
  },
  'a page with h-entry': {
    name: 'a.html',
    address: 'https://a.example/notes/',
    bytes: `<!doctype html><ul>
<li class="h-entry"><a class="p-name u-url" href="1">Terns</a> <time class="dt-published" datetime="2026-05-01">1 May</time> <span class="p-category">Birds</span> <span class="p-category">Shore</span> <span class="p-author h-card"><img class="u-photo" src="ann.png" alt=""><span class="p-name">Ann</span></span><div class="e-content"><p>Low tide.</p></div></li>
<li class="h-entry"><a class="p-name u-url" href="/2">Eels</a></li></ul>`,
    ...{ format: 'html', records: 2, last: { title: 'Eels', url: 'https://a.example/2' } },
    first: {
      ...{ title: 'Terns', url: 'https://a.example/notes/1', date_published: '2026-05-01', tags: ['Birds', 'Shore'] },
      ...{ authors: ['Ann'], content_html: '<p>Low tide.</p>' },
    },
  },
  'a page with h-event': {
    ...{
      name: 'a.html',
      format: 'html',
      records: 2,
      first: { title: 'Walk', start: '2026-05-01T10:00', location: 'Quay' },
    },
    bytes: `<html><div class="h-event"><h3 class="p-name">Walk</h3><time class="dt-start" datetime="2026-05-01T10:00">x</time><span class="p-location">Quay</span></div><div class="h-event"><h3 class="p-name">Talk</h3></div>`,
  },
  'a page with microdata': {
    name: 'a.html',
    bytes: `<html><div itemscope itemtype="https://schema.org/BlogPosting"><h2 itemprop="headline">Terns</h2><a itemprop="url" href="https://a.example/1">more</a><meta itemprop="datePublished" content="2026-05-01"><span itemprop="author" itemscope itemtype="https://schema.org/Person"><b itemprop="name">Ann</b></span><span itemprop="keywords">birds, shore</span></div>
<div itemscope itemtype="https://schema.org/BlogPosting"><h2 itemprop="headline">Eels</h2></div>`,
    ...{ format: 'html', records: 2 },
    first: {
      title: 'Terns',
      url: 'https://a.example/1',
      date_published: '2026-05-01',
      authors: ['Ann'],
      tags: ['birds', 'shore'],
    },
  },
  'a page with JSON-LD': {
    name: 'a.html',
    bytes: `<html><script type="application/ld+json">{"@context":"https://schema.org","@type":"ItemList","itemListElement":[{"@type":"ListItem","position":1,"item":{"@type":"Event","name":"Walk","startDate":"2026-05-01","location":{"@type":"Place","name":"Quay"},"offers":{"price":"3.50","priceCurrency":"EUR"}}},{"@type":"ListItem","position":2,"item":{"@type":"Event","name":"Talk"}}]}</script>`,
    ...{
      format: 'html',
      records: 2,
      first: { title: 'Walk', start: '2026-05-01', location: 'Quay', 'offers.price': '3.50' },
    },
  },
  'a page with JSON-LD as a graph, and a broken one': {
    name: 'a.html',
    bytes: `<html><script type="application/ld+json">{oops</script><script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"S"},{"@type":"NewsArticle","headline":"A","image":{"@type":"ImageObject","url":"/a.png"}},{"@type":"NewsArticle","headline":"B"}]}</script>`,
    ...{
      address: 'https://a.example/x',
      format: 'html',
      records: 2,
      first: { title: 'A', image: 'https://a.example/a.png' },
    },
  },
  'a page that marks nothing': {
    name: 'a.html',
    address: 'https://a.example/',
    bytes: `<!doctype html><body><nav><ul><li><a href="/">Home page of ours</a><li><a href="/x">Another page of ours</a><li><a href="/y">A third page of ours</a></ul></nav>
<main><div class="card"><h3><a href="/1">Terns back on the bank</a></h3><p class="lead">Nine pairs by evening.</p><time datetime="2026-05-01">1 May</time><span class="card__place">Mudflat</span></div>
<div class="card"><h3><a href="/2">Eel pass clogged again</a></h3><p class="lead">Weed from the last flood.</p><time datetime="2026-05-02">2 May</time><span class="card__place">Lagoon</span></div>
<div class="card"><h3><a href="/3">Moth lamp by the reed hide</a></h3><p class="lead">Forty kinds.</p><time datetime="2026-05-03">3 May</time><span class="card__place">Reedbed</span></div></main>`,
    ...{ format: 'html', records: 3 },
    first: {
      title: 'Terns back on the bank',
      url: 'https://a.example/1',
      date: '2026-05-01',
      lead: 'Nine pairs by evening.',
      place: 'Mudflat',
    },
  },
  'a page with a plain table': {
    ...{ name: 'a.html', format: 'html', records: 3, first: { 'column 1': 'Terns on the bank', url: '/1' } },
    bytes: `<html><table><tbody><tr><td><a href="/1">Terns on the bank</a></td><td>May</td></tr><tr><td><a href="/2">Eels in the pass</a></td><td>June</td></tr><tr><td><a href="/3">Moths by the hide</a></td><td>July</td></tr></tbody></table>`,
  },
};
