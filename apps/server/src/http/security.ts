import type { FastifyHelmetOptions } from '@fastify/helmet';

export const directives = {
  'default-src': ["'self'"],
  // The reader of codes is compiled from the program's own WebAssembly.
  'script-src': ["'self'", "'wasm-unsafe-eval'"],
  'worker-src': ["'self'"],
  'style-src': ["'self'", "'unsafe-inline'"],
  'img-src': ["'self'", 'data:', 'blob:'],
  'font-src': ["'self'"],
  'connect-src': ["'self'"],
  'object-src': ["'none'"],
  'base-uri': ["'none'"],
  'form-action': ["'self'"],
  'frame-ancestors': ["'none'"],
};

/** Everything comes from here and nothing else; inline styles are what the interface's positioned parts need. */
export const security: FastifyHelmetOptions = {
  contentSecurityPolicy: {
    useDefaults: false,
    directives,
  },
  // The default serves plain HTTP on loopback; whoever puts it behind HTTPS sets this there.
  strictTransportSecurity: false,
  crossOriginEmbedderPolicy: false,
  referrerPolicy: { policy: 'no-referrer' },
};
