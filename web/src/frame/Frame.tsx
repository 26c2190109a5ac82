import { useRouterState } from '@tanstack/react-router';
import type { ReactNode } from 'react';
import type { Tank } from '../api/types';
import { useKeepPlan } from '../places/guard/useKeepPlan';
import { Commands } from './Commands';
import { EventKey } from './EventKey';
import { ExperimentBar } from './ExperimentBar';
import { OutageBar } from './OutageBar';
import { placeAt, placesOf } from './places';
import { Rail, ScreenRow, ThumbRail } from './Rail';
import { Strip } from './Strip';
import { usePageTitle } from './title';
import { useHelper } from './useHelper';

/** Pages that stand in no place. */
const OTHERS: Record<string, string> = {
  house: 'Your tanks',
  settings: 'Settings',
  begin: 'Describe your tank',
  bring: 'Import a file',
  description: 'Description',
  card: 'Mixing card',
};

const nameOf = (path: string) => OTHERS[path.split('/').at(-1) ?? ''];

/** Rail, strip and page. */
export function Frame({
  tank,
  strip,
  children,
}: {
  tank?: Tank;
  /** In place of the tank's own, where a page is about more than one. */
  strip?: ReactNode;
  children: ReactNode;
}) {
  const helper = useHelper();
  const path = useRouterState({ select: (s) => s.location.pathname });
  usePageTitle(
    placeAt(path, placesOf(helper)).screen?.name ?? nameOf(path),
    tank?.description.name,
  );
  useKeepPlan(tank?.homeId);
  return (
    <div className="min-h-dvh pb-20 md:pb-0 md:pl-36">
      <a
        href="#page"
        className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:bg-paper focus:p-3"
      >
        Skip to content
      </a>
      <Rail tankId={tank?.id} />
      <ThumbRail tankId={tank?.id} />
      {strip ?? (tank && <Strip tank={tank} />)}
      {tank && <OutageBar tank={tank} />}
      {tank && <ExperimentBar tank={tank} />}
      {tank && <ScreenRow tankId={tank.id} />}
      <main id="page" tabIndex={-1} className="px-4 py-5 outline-none md:px-6">
        {children}
      </main>
      <Commands tankId={tank?.id} />
      {tank && !helper && <EventKey tank={tank} />}
    </div>
  );
}
