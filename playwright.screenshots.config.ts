import base from './playwright.config';

/**
 * Pictures of every main view for the README, from the sample data: `npm run screenshots` after
 * `npm run build`.
 */
export default { ...base, testMatch: 'screenshots*.ts', reporter: 'list', workers: 1 };
