export { usualCautions } from './cautions';
export { type Candidate, type Suggestion, suggestSessions } from './next-session';
