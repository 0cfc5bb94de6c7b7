import { type RuleBook, readRuleBook } from '@/core/rulebooks';
import retrieves from './rule-books/brackwater-working-test.json?raw';
import measured from './rule-books/fennside-throws.json?raw';
import weightedMarks from './rule-books/harrowmere-ring-grade-b.json?raw';
import timeAndFaults from './rule-books/ravenholt-course.json?raw';
import abilities from './rule-books/saltfen-field-assessment.json?raw';
import checklist from './rule-books/thistlemere-trick-title.json?raw';
import pointsOff from './rule-books/vellmoor-obedience-three.json?raw';
import quillsClass from './rule-books/vellmoor-obedience-two.json?raw';
import nextEdition from './rule-books/vellmoor-obedience-two-e2.json?raw';

/**
 * The class that Quill trains for, its next edition, and one invented rule book for each scoring
 * family; all read from their files like any other.
 */
export const SAMPLE_RULE_BOOKS: readonly [RuleBook, ...RuleBook[]] = [
  read(quillsClass),
  ...[nextEdition, pointsOff, weightedMarks, abilities, retrieves, checklist, timeAndFaults, measured].map(
    read,
  ),
];

function read(text: string): RuleBook {
  const book = readRuleBook(text);
  if (!book.ok)
    throw new Error(book.problems.map((problem) => `${problem.path}: ${problem.message}`).join('\n'));
  return book.value;
}
