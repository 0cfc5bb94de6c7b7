import 'fake-indexeddb/auto';
import fc from 'fast-check';

/**
 * Property tests draw the same cases on every run, so that what lands has been tested.
 * `PROPERTY_SEED=7 npm run unit` draws others; a case that fails there is written into its test as
 * an example.
 */
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_260_615) });
