/** Elements that bring scripts, frames or another address into a page. */
const left =
  'script, iframe, frame, object, embed, base, template, portal, meta[http-equiv], link[rel~="preload"], link[rel~="prefetch"]';

/** A page of others as a document that nothing of it runs in: its scripts, frames and handlers are left out. */
export function pageDocument(html: string): Document {
  const page = new DOMParser().parseFromString(html, 'text/html');
  for (const one of page.querySelectorAll(left)) one.remove();
  for (const element of page.querySelectorAll('*')) {
    for (const { name, value } of [...element.attributes]) {
      const isAddress = /^(href|src|action|formaction|xlink:href)$/.test(name);
      if (name.startsWith('on') || (isAddress && /^\s*(javascript|vbscript):/i.test(value)))
        element.removeAttribute(name);
    }
  }
  return page;
}
