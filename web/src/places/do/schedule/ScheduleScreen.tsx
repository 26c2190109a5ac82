import { useState } from 'react';
import { Problem } from '../../../api/client';
import { useSchedule, useScheduleDay, useSaveSchedule } from '../../../api/schedule';
import type { KeptSchedule, Schedule, WhatIf } from '../../../api/types';
import { DayLanes } from '../../../drawings/DayLanes';
import type { PlayheadFrame } from '../../../drawings/Playhead';
import { dayAndTime, localDay, longDay, shiftDay, startOfDay } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { Tick } from '../../../parts/Tick';
import { useNow } from '../../../parts/useNow';
import { useWidth } from '../../../parts/useWidth';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { AtMoment } from './AtMoment';
import { weekendOfItsOwn, withEdge } from './changes';
import { ConflictList } from './ConflictList';
import { Editing, type Open } from './Editing';
import { FileRow } from './FileRow';
import { HoldRow } from './HoldRow';
import { LaneList } from './LaneList';
import { MovingPlayhead, PlayheadKept, useBringPlayhead } from './playhead';
import { Templates } from './Templates';
import { TwinSays } from './TwinSays';
import { useDraft } from './useDraft';
import { WhatIfRow } from './WhatIfRow';
import { WindowList } from './WindowList';
import { dayVerdict } from './words';

/** Do → Schedule: one day, every device. */
export function ScheduleScreen() {
  const { tank } = useAtTank();
  const kept = useSchedule(tank.id);
  if (!kept.data) return <Waiting error={kept.error} retry={() => void kept.refetch()} />;
  return (
    <PlayheadKept key={tank.id}>
      <Loaded kept={kept.data} />
    </PlayheadKept>
  );
}

function Loaded({ kept }: { kept: KeptSchedule }) {
  const { tank } = useAtTank();
  const zone = tank.zone;
  const now = useNow();
  const today = localDay(now, zone);
  const tell = useNotice();
  const draft = useDraft(tank.id, kept);
  const save = useSaveSchedule(tank.id);
  const [day, setDay] = useState(today);
  const setPlayhead = useBringPlayhead();
  const [beside, setBeside] = useState(false);
  const [what, setWhat] = useState<WhatIf>();
  const [theirs, setTheirs] = useState<KeptSchedule>();
  const [caution, setCaution] = useState<string>();
  const [open, setOpen] = useState<Open>();
  const [ref, width] = useWidth();
  const asked = useScheduleDay(tank.id, draft.schedule, day, what);
  const saved = useScheduleDay(tank.id, kept.schedule, day, undefined, beside);
  const other = useScheduleDay(
    tank.id,
    theirs?.schedule ?? kept.schedule,
    day,
    undefined,
    theirs !== undefined,
  );
  const shown = asked.data;
  const start = startOfDay(day, zone);
  const first = day === today ? now : start + 12 * 3_600_000;
  const playhead = (frame: PlayheadFrame) => <MovingPlayhead frame={frame} first={first} />;
  const move = (to: string) => {
    setDay(to);
    setPlayhead(undefined);
    setWhat(undefined);
  };
  const keep = (schedule: Schedule, version?: number) =>
    void save
      .mutateAsync({ version, schedule })
      .then(({ caution }) => {
        draft.drop();
        setTheirs(undefined);
        tell('Schedule saved.');
        setCaution(caution);
      })
      .catch((problem: unknown) => {
        if (problem instanceof Problem && problem.status === 409)
          setTheirs(problem.extra.current as KeptSchedule);
      });
  const forbidden = shown?.conflicts.some((c) => c.forbids) ?? false;
  const window = (p: Schedule) => p.windows.map(({ id, name, allDay }) => ({ id, name, allDay }));
  return (
    <div className="grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <div>
          <h1 className="text-2xl font-semibold">{shown ? dayVerdict(shown) : 'The schedule'}</h1>
          <p className="text-soft">
            {longDay(day)} ·{' '}
            {draft.changed
              ? 'changed, not saved yet'
              : kept.savedAt === undefined
                ? 'from the description of your tank; not saved yet'
                : `saved ${dayAndTime(kept.savedAt, zone)}`}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3 print:hidden">
          <Button look="quiet" onClick={() => move(shiftDay(day, -1))}>
            Previous day
          </Button>
          {day !== today && (
            <Button look="quiet" onClick={() => move(today)}>
              Today
            </Button>
          )}
          <Button look="quiet" onClick={() => move(shiftDay(day, 1))}>
            Next day
          </Button>
          <Button look="quiet" disabled={!draft.undo} onClick={draft.undo}>
            Undo
          </Button>
          {draft.redo && (
            <Button look="quiet" onClick={draft.redo}>
              Redo
            </Button>
          )}
          <Button
            look="main"
            disabled={save.isPending || forbidden || (!draft.changed && kept.savedAt !== undefined)}
            onClick={() => keep(draft.schedule, draft.version)}
          >
            Save
          </Button>
        </div>
      </div>
      <Refusal message={theirs ? undefined : (save.error?.message ?? asked.error?.message)} />
      {caution && (
        <p role="alert" className="max-w-prose border-l-4 border-alk pl-3">
          {caution}
        </p>
      )}
      {theirs && (
        <section aria-labelledby="theirs" className="grid gap-3 border-y border-hairline py-4">
          <h2 id="theirs" className="text-lg font-bold">
            The schedule was changed elsewhere. Your version is kept below
          </h2>
          {other.data && width > 0 && (
            <DayLanes
              day={other.data}
              windows={window(theirs.schedule)}
              zone={zone}
              width={width}
              playhead={playhead}
              onAt={setPlayhead}
            />
          )}
          <div className="flex flex-wrap gap-3">
            <Button
              onClick={() => {
                draft.drop();
                setTheirs(undefined);
              }}
            >
              Keep the saved one
            </Button>
            <Button onClick={() => keep(draft.schedule, theirs.version)}>Save mine</Button>
          </div>
        </section>
      )}
      <div ref={ref}>
        {shown && width > 0 && (
          <DayLanes
            day={shown}
            beside={beside ? saved.data : undefined}
            windows={window(draft.schedule)}
            zone={zone}
            width={width}
            playhead={playhead}
            onAt={setPlayhead}
            onEdge={(id, which, minutes) =>
              draft.change(withEdge(draft.schedule, id, which, minutes))
            }
            onWindow={(id) =>
              setOpen({ what: 'window', window: draft.schedule.windows.find((w) => w.id === id) })
            }
            onLane={(id) => {
              const lane = draft.schedule.lanes.find((l) => l.id === id);
              if (lane) setOpen({ what: 'rule', lane });
            }}
            cut={what?.cut}
          />
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button onClick={() => setOpen({ what: 'window' })}>Add a time window</Button>
        <Button onClick={() => setOpen({ what: 'lane' })}>Add a device</Button>
        {weekendOfItsOwn(draft.schedule) !== draft.schedule && (
          <Button onClick={() => draft.change(weekendOfItsOwn(draft.schedule))}>
            Separate weekend
          </Button>
        )}
        <span className="text-sm text-soft">
          Select a device to add a rule. Drag either end of a time window to change it.
        </span>
        {draft.changed && kept.savedAt !== undefined && (
          <Tick checked={beside} onChange={(e) => setBeside(e.target.checked)}>
            Thin bars: the saved schedule where different.
          </Tick>
        )}
      </div>
      {shown && (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
          <AtMoment day={shown} first={first} zone={zone} />
          <div className="grid content-start gap-6">
            <ConflictList day={shown} zone={zone} mend={draft.change} show={setPlayhead} />
            <HoldRow saved={kept.schedule} now={now} />
            <WhatIfRow schedule={draft.schedule} first={first} what={what} setWhat={setWhat} />
          </div>
        </div>
      )}
      {shown && (
        <TwinSays schedule={draft.schedule} day={shown} changed={draft.changed} what={what} />
      )}
      <Templates schedule={draft.schedule} change={draft.change} />
      <WindowList schedule={draft.schedule} open={setOpen} />
      <LaneList schedule={draft.schedule} open={setOpen} />
      <Editing
        open={open}
        schedule={draft.schedule}
        change={draft.change}
        close={() => setOpen(undefined)}
      />
      <FileRow schedule={draft.schedule} day={shown} read={draft.change} />
    </div>
  );
}
