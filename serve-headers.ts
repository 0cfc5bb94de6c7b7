import { POLICY_FOR_HEADER } from './content-security-policy.ts';

/** What every answer of the server says besides its content. */
export const HEADERS: Readonly<Record<string, string>> = {
  'Content-Security-Policy': POLICY_FOR_HEADER,
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy':
    'accelerometer=(), camera=(self), geolocation=(self), gyroscope=(), magnetometer=(), microphone=(self), payment=(), usb=()',
};

/** Files whose name holds a print of their content never change. */
export const cacheOf = (url: string): string =>
  /^\/assets\/.+-[\w-]{8}\.\w+$/.test(url) ? 'public, max-age=31536000, immutable' : 'no-cache';
