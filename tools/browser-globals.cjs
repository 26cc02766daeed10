// jsdom lacks what every browser has: Node's own stand in.
const { TextDecoder, TextEncoder } = require('node:util');
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
