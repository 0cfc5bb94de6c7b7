import { createBrowserRouter, Navigate } from 'react-router';
import { FieldRoom, SessionPage } from '@/features/field';
import { tell } from '@/words/shell';
import { DogGate } from './dog-gate';
import { KennelFrame } from './kennel-frame';
import { lastKennel } from './last-kennel';
import { LostPage, TroublePage } from './trouble';

const element = () => import('@/features/element');
const trials = () => import('@/features/trials');

/** A page of the runs that ship to learn judging, which only the application knows. */
const practising = (page: 'PracticePage' | 'PracticeRunPage') => async () => {
  const [rooms, { PRACTICE }] = await Promise.all([trials(), import('@/demo/practice')]);
  const Page = rooms[page];
  return { Component: () => <Page shelf={PRACTICE} /> };
};
const clips = () => import('@/features/clips');
const tracks = () => import('@/features/tracks');
const setOuts = () => import('@/features/set-outs');

function LastKennel() {
  return <Navigate to={`/${lastKennel()}/today`} replace />;
}

/**
 * The address names the kennel first, so that a person's own and the sample are never on one page.
 * What the field needs is loaded at once; the rooms of the kitchen table come when they are
 * entered.
 */
export const router = createBrowserRouter([
  { path: '/', element: <LastKennel /> },
  {
    path: '/:kennel',
    element: <KennelFrame />,
    errorElement: <TroublePage />,
    hydrateFallbackElement: <p className="p-6 text-lg">{tell('routes.opening-the-kennel')}</p>,
    children: [
      { index: true, element: <Navigate to="today" replace /> },
      { path: 'start', lazy: async () => ({ Component: (await import('@/features/start')).StartRoom }) },
      {
        path: 'rule-books',
        lazy: async () => ({ Component: (await import('@/features/rule-books')).RuleBooksRoom }),
      },
      {
        path: 'rule-books/write',
        lazy: async () => ({ Component: (await import('@/features/rule-books')).EditorPage }),
      },
      {
        path: 'rule-books/paste',
        lazy: async () => ({ Component: (await import('@/features/rule-books')).PastePage }),
      },
      {
        path: 'rule-books/:book',
        lazy: async () => ({ Component: (await import('@/features/rule-books')).RuleBooksRoom }),
      },
      {
        path: 'rule-books/:book/compare',
        lazy: async () => ({ Component: (await import('@/features/rule-books')).ComparePage }),
      },
      {
        path: 'rule-books/:book/sheet',
        lazy: async () => ({ Component: (await trials()).SheetPage }),
      },
      { path: 'trials', lazy: async () => ({ Component: (await trials()).TrialsRoom }) },
      { path: 'trials/practice', lazy: practising('PracticePage') },
      { path: 'trials/practice/:run', lazy: practising('PracticeRunPage') },
      { path: 'trials/runs/:run', lazy: async () => ({ Component: (await trials()).RunPage }) },
      { path: 'trials/runs/:run/steward', lazy: async () => ({ Component: (await trials()).StewardPage }) },
      { path: 'trials/meetings/new', lazy: async () => ({ Component: (await trials()).MeetingPage }) },
      { path: 'trials/meetings/:meeting', lazy: async () => ({ Component: (await trials()).MeetingPage }) },
      {
        path: 'trials/meetings/:meeting/print',
        lazy: async () => ({ Component: (await trials()).PrintMeeting }),
      },
      {
        path: 'words',
        lazy: async () => ({ Component: (await import('@/features/glossary')).GlossaryPage }),
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('./settings/settings-page')).SettingsPage }),
      },
      {
        path: 'guide/:page?',
        lazy: async () => ({ Component: (await import('./guide/guide-page')).GuideBook }),
      },
      { path: 'tour', lazy: async () => ({ Component: (await import('./tour/begin-tour')).BeginTour }) },
      { path: 'files', lazy: async () => ({ Component: (await import('@/features/files')).FilesRoom }) },
      {
        path: 'files/coach',
        lazy: async () => ({ Component: (await import('@/features/files')).CoachPage }),
      },
      {
        path: 'files/own-sheet',
        lazy: async () => ({ Component: (await import('@/features/files')).OwnSheetPage }),
      },
      {
        element: <DogGate />,
        children: [
          {
            path: 'trials/titles',
            lazy: async () => ({ Component: (await import('@/features/titles')).TitlesPage }),
          },
          { path: 'today', lazy: async () => ({ Component: (await import('@/features/today')).TodayRoom }) },
          {
            path: 'breakdown',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).BreakdownRoom }),
          },
          {
            path: 'breakdown/new',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).NewExercisePage }),
          },
          {
            path: 'breakdown/class',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).ClassPage }),
          },
          {
            path: 'breakdown/methods',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).MethodsPage }),
          },
          {
            path: 'breakdown/methods/:method',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).MethodPage }),
          },
          {
            path: 'breakdown/prerequisites',
            lazy: async () => ({ Component: (await import('@/features/breakdown')).PrerequisitesPage }),
          },
          {
            path: 'breakdown/:element',
            lazy: async () => ({ Component: (await element()).ElementRoom }),
            children: [
              { index: true, lazy: async () => ({ Component: (await element()).LadderPage }) },
              { path: 'evidence', lazy: async () => ({ Component: (await element()).EvidencePage }) },
              { path: 'rule', lazy: async () => ({ Component: (await element()).RulePage }) },
              { path: 'about', lazy: async () => ({ Component: (await element()).AboutPage }) },
              { path: 'dogs', lazy: async () => ({ Component: (await element()).DogsPage }) },
            ],
          },
          {
            path: 'kennel',
            lazy: async () => ({ Component: (await import('@/features/kennel')).KennelRoom }),
          },
          { path: 'field', element: <FieldRoom /> },
          { path: 'field/:element', element: <SessionPage /> },
          {
            path: 'field/class',
            lazy: async () => ({ Component: (await import('@/features/field/class/class-page')).ClassPage }),
          },
          {
            path: 'field/tally',
            lazy: async () => ({ Component: (await import('@/features/field/tally/tally-page')).TallyPage }),
          },
          {
            path: 'field/tally/type',
            lazy: async () => ({
              Component: (await import('@/features/field/tally/type-tally-page')).TypeTallyPage,
            }),
          },
          {
            path: 'field/end',
            lazy: async () => ({ Component: (await import('@/features/field/end-page')).EndPage }),
          },
          {
            path: 'field/:element/log',
            lazy: async () => ({ Component: (await import('@/features/field/log-page')).LogPage }),
          },
          {
            path: 'review',
            lazy: async () => ({ Component: (await import('@/features/review')).ReviewRoom }),
          },
          {
            path: 'review/handler',
            lazy: async () => ({ Component: (await import('@/features/review')).HandlerPage }),
          },
          {
            path: 'review/months',
            lazy: async () => ({ Component: (await import('@/features/review')).MonthsPage }),
          },
          {
            path: 'field/:element/log/:bout',
            lazy: async () => ({ Component: (await import('@/features/field/bout-page')).BoutPage }),
          },
          {
            path: 'season',
            lazy: async () => ({ Component: (await import('@/features/season')).SeasonPage }),
          },
          {
            path: 'season/day',
            lazy: async () => ({ Component: (await import('@/features/season')).DayPage }),
          },
          { path: 'clips', lazy: async () => ({ Component: (await clips()).ClipsRoom }) },
          { path: 'clips/compare', lazy: async () => ({ Component: (await clips()).ComparePage }) },
          { path: 'clips/:clip', lazy: async () => ({ Component: (await clips()).ClipPage }) },
          { path: 'tracks', lazy: async () => ({ Component: (await tracks()).TracksRoom }) },
          { path: 'tracks/walk', lazy: async () => ({ Component: (await tracks()).WalkPage }) },
          { path: 'tracks/:track', lazy: async () => ({ Component: (await tracks()).TrackPage }) },
          { path: 'set-outs', lazy: async () => ({ Component: (await setOuts()).SetOutsRoom }) },
          { path: 'set-outs/new', lazy: async () => ({ Component: (await setOuts()).NewSetOutPage }) },
          { path: 'set-outs/:setOut', lazy: async () => ({ Component: (await setOuts()).SetOutPage }) },
          { path: 'set-outs/:setOut/lay', lazy: async () => ({ Component: (await setOuts()).LayPage }) },
          {
            path: 'set-outs/grounds/:ground',
            lazy: async () => ({ Component: (await setOuts()).GroundPage }),
          },
          { path: 'plan', lazy: async () => ({ Component: (await import('@/features/plan')).PlanRoom }) },
          {
            path: 'plan/print/:day',
            lazy: async () => ({ Component: (await import('@/features/plan')).PrintPage }),
          },
          {
            path: 'readiness',
            lazy: async () => ({ Component: (await import('@/features/readiness')).ReadinessRoom }),
          },
        ],
      },
      { path: '*', element: <LostPage /> },
    ],
  },
]);
