/** What a page of the program may load and run, as a content security policy; sent by the server, and in the page itself. */
export const POLICY = {
  defaultSrc: ["'self'"],
  // The solver of the season is WebAssembly, and nothing else is let in by it.
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  workerSrc: ["'self'"],
  // Charts and primitives place things by style attributes.
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'none'"],
};

/** The same as a page says it of itself, where a host of files sends no headers. */
export const policyText = (): string =>
  Object.entries(POLICY)
    .map(([name, values]) => `${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)} ${values.join(' ')}`)
    .join('; ');
