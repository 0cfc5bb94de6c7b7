import * as v from 'valibot';
import { type PracticeRun, practiceRunSchema } from '@/core/trials';
import tricks from './practice/five-tricks.json';
import course from './practice/half-a-course.json';
import ring from './practice/ring-of-four.json';
import keen from './practice/square-and-hurdle.json';
import soft from './practice/square-with-help.json';
import marks from './practice/two-marks-and-a-blind.json';
import { SAMPLE_RULE_BOOKS } from './rule-books';

/** The runs that ship to learn judging, with the invented rule books by which they are judged. */
export const PRACTICE = {
  runs: [keen, soft, marks, ring, course, tricks].map((one): PracticeRun => v.parse(practiceRunSchema, one)),
  books: SAMPLE_RULE_BOOKS,
} as const;
