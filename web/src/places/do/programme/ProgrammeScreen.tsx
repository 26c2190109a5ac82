import { useState } from 'react';
import { Problem } from '../../../api/client';
import { useProgramme, useProgrammeDay, useSaveProgramme } from '../../../api/programme';
import type { KeptProgramme, Programme, WhatIf } from '../../../api/types';
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

/** Do → Programme: one day, every device. */
export function ProgrammeScreen() {
  const { tank } = useAtTank();
  const kept = useProgramme(tank.id);
  if (!kept.data) return <Waiting error={kept.error} retry={() => void kept.refetch()} />;
  return (
    <PlayheadKept key={tank.id}>
      <Loaded kept={kept.data} />
    </PlayheadKept>
  );
}

function Loaded({ kept }: { kept: KeptProgramme }) {
  const { tank } = useAtTank();
  const zone = tank.zone;
  const now = useNow();
  const today = localDay(now, zone);
  const tell = useNotice();
  const draft = useDraft(tank.id, kept);
  const save = useSaveProgramme(tank.id);
  const [day, setDay] = useState(today);
  const setPlayhead = useBringPlayhead();
  const [beside, setBeside] = useState(false);
  const [what, setWhat] = useState<WhatIf>();
  const [theirs, setTheirs] = useState<KeptProgramme>();
  const [caution, setCaution] = useState<string>();
  const [open, setOpen] = useState<Open>();
  const [ref, width] = useWidth();
  const asked = useProgrammeDay(tank.id, draft.programme, day, what);
  const saved = useProgrammeDay(tank.id, kept.programme, day, undefined, beside);
  const other = useProgrammeDay(
    tank.id,
    theirs?.programme ?? kept.programme,
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
  const keep = (programme: Programme, version?: number) =>
    void save
      .mutateAsync({ version, programme })
      .then(({ caution }) => {
        draft.drop();
        setTheirs(undefined);
        tell('The programme is saved.');
        setCaution(caution);
      })
      .catch((problem: unknown) => {
        if (problem instanceof Problem && problem.status === 409)
          setTheirs(problem.extra.current as KeptProgramme);
      });
  const forbidden = shown?.conflicts.some((c) => c.forbids) ?? false;
  const window = (p: Programme) => p.windows.map(({ id, name, allDay }) => ({ id, name, allDay }));
  return (
    <div className="grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <div>
          <h1 className="text-2xl font-semibold">{shown ? dayVerdict(shown) : 'The programme'}</h1>
          <p className="text-soft">
            {longDay(day)} ·{' '}
            {draft.changed
              ? 'as changed, not saved yet'
              : kept.savedAt === undefined
                ? 'as the tank is described; nobody wrote a programme yet'
                : `as saved ${dayAndTime(kept.savedAt, zone)}`}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3 print:hidden">
          <Button look="quiet" onClick={() => move(shiftDay(day, -1))}>
            day before
          </Button>
          {day !== today && (
            <Button look="quiet" onClick={() => move(today)}>
              today
            </Button>
          )}
          <Button look="quiet" onClick={() => move(shiftDay(day, 1))}>
            day after
          </Button>
          <Button look="quiet" disabled={!draft.undo} onClick={draft.undo}>
            undo
          </Button>
          {draft.redo && (
            <Button look="quiet" onClick={draft.redo}>
              redo
            </Button>
          )}
          <Button
            look="main"
            disabled={save.isPending || forbidden || (!draft.changed && kept.savedAt !== undefined)}
            onClick={() => keep(draft.programme, draft.version)}
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
            It was changed elsewhere meanwhile; yours is below, and nothing of it is lost
          </h2>
          {other.data && width > 0 && (
            <DayLanes
              day={other.data}
              windows={window(theirs.programme)}
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
              Take this one
            </Button>
            <Button onClick={() => keep(draft.programme, theirs.version)}>
              Save mine in its place
            </Button>
          </div>
        </section>
      )}
      <div ref={ref}>
        {shown && width > 0 && (
          <DayLanes
            day={shown}
            beside={beside ? saved.data : undefined}
            windows={window(draft.programme)}
            zone={zone}
            width={width}
            playhead={playhead}
            onAt={setPlayhead}
            onEdge={(id, which, minutes) =>
              draft.change(withEdge(draft.programme, id, which, minutes))
            }
            onWindow={(id) =>
              setOpen({ what: 'window', window: draft.programme.windows.find((w) => w.id === id) })
            }
            onLane={(id) => {
              const lane = draft.programme.lanes.find((l) => l.id === id);
              if (lane) setOpen({ what: 'rule', lane });
            }}
            cut={what?.cut}
          />
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button onClick={() => setOpen({ what: 'window' })}>New window</Button>
        <Button onClick={() => setOpen({ what: 'lane' })}>New lane</Button>
        {weekendOfItsOwn(draft.programme) !== draft.programme && (
          <Button onClick={() => draft.change(weekendOfItsOwn(draft.programme))}>
            A weekend of its own
          </Button>
        )}
        <span className="text-sm text-soft">
          A lane’s name gives it a rule; a window’s name or its ends change it.
        </span>
        {draft.changed && kept.savedAt !== undefined && (
          <Tick checked={beside} onChange={(e) => setBeside(e.target.checked)}>
            the saved programme beside it, thin, where it differs
          </Tick>
        )}
      </div>
      {shown && (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
          <AtMoment day={shown} first={first} zone={zone} />
          <div className="grid content-start gap-6">
            <ConflictList day={shown} zone={zone} mend={draft.change} show={setPlayhead} />
            <HoldRow saved={kept.programme} now={now} />
            <WhatIfRow programme={draft.programme} first={first} what={what} setWhat={setWhat} />
          </div>
        </div>
      )}
      {shown && (
        <TwinSays programme={draft.programme} day={shown} changed={draft.changed} what={what} />
      )}
      <Templates programme={draft.programme} change={draft.change} />
      <WindowList programme={draft.programme} open={setOpen} />
      <LaneList programme={draft.programme} open={setOpen} />
      <Editing
        open={open}
        programme={draft.programme}
        change={draft.change}
        close={() => setOpen(undefined)}
      />
      <FileRow programme={draft.programme} day={shown} read={draft.change} />
    </div>
  );
}
