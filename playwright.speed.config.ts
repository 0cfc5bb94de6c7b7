import base from './playwright.config';

/** How long a tap takes to be in the log: `npm run tap-speed` after `npm run build`. */
export default { ...base, testMatch: '*-speed.ts', reporter: 'list', workers: 1 };
