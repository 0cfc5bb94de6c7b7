import { tellerOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import setOuts from '@/words/en/core-set-outs.json';
import en from '@/words/en/plan.json';

/** The words of this room, and what the core says of rule books. */
export const tell = tellerOf({ ...en, ...rules, ...setOuts });
