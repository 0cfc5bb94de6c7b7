import { format } from 'date-fns';
import type { Day } from '@/core/shared';

/** The one place that reads the clock. Core is handed instants and days. */
export const now = (): number => Date.now();

/** The calendar day in the handler's own time zone. */
export const todayOf = (instant: number): Day => format(instant, 'yyyy-MM-dd') as Day;
