import type { ReactNode } from 'react';
import type { Tank } from '../api/types';
import { useKeepPlan } from '../places/guard/useKeepPlan';
import { Commands } from './Commands';
import { EventKey } from './EventKey';
import { ExperimentBar } from './ExperimentBar';
import { OutageBar } from './OutageBar';
import { Rail, ScreenRow, ThumbRail } from './Rail';
import { Strip } from './Strip';
import { useHelper } from './useHelper';

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
