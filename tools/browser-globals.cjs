// jsdom lacks what every browser has. Node’s own stand in where it has them.
const { TextDecoder, TextEncoder } = require('node:util');
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
// It lays nothing out, so there is nothing to scroll.
if (globalThis.Element) globalThis.Element.prototype.scrollIntoView ??= () => undefined;

// jsdom lays nothing out, so nothing ever changes its size
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
// Names in these tests need no escaping but for quotes.
globalThis.CSS ??= { escape: (text) => String(text).replace(/["\\]/g, '\\$&') };

// Node's own would keep tests from ending, since nothing ever closes its ports
globalThis.MessageChannel ??= class {
  constructor() {
    this.port1 = { onmessage: null, close() {} };
    this.port2 = { postMessage: (data) => void globalThis.setTimeout(() => this.port1.onmessage?.({ data })) };
  }
};
