/**
 * Own origin only and no inline script. Inline styles stay allowed: the dialog and toast libraries
 * set some, and a style cannot call out while every source is limited to this origin.
 */
const DIRECTIVES = [
  "default-src 'self'",
  "script-src 'self'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "media-src 'self' blob:",
  "connect-src 'self'",
  "worker-src 'self'",
  "manifest-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'none'",
];

/** For the page itself, so that it holds on any static host. */
export const POLICY_FOR_META = DIRECTIVES.join('; ');
/** For the server's header; who may frame the page can only be said here. */
export const POLICY_FOR_HEADER = [...DIRECTIVES, "frame-ancestors 'none'"].join('; ');
