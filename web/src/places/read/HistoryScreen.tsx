import { getRouteApi, Link } from '@tanstack/react-router';
import { useCallback, useEffect, useMemo, useRef, useState, type PointerEvent } from 'react';
import { useChapters } from '../../api/homes';
import { useHistory, useLogSpan } from '../../api/log';
import { HistoryDrawing, type Pointed } from '../../drawings/HistoryDrawing';
import { LEFT, RIGHT } from '../../drawings/historyLayout';
import { typing } from '../../frame/Commands';
import { useHelper } from '../../frame/useHelper';
import { dayAndTime, mediumDay } from '../../lib/time';
import { download } from '../../lib/file';
import { toPng } from '../../lib/picture';
import { Button, buttonLook } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { Chapters } from './Chapters';
import { CompareDays, useTwoWindows } from './CompareDays';
import { phOver } from './phOver';
import { inUnits, standingAt } from './standingAt';
import { WhatChanged } from './WhatChanged';

const route = getRouteApi('/signed-in/tank/$tankId/history');
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const GOES_ON = 3 * DAY;
/** What is fetched beyond each edge, in widths of the window, so that panning shows the log at once. */
const MARGIN = 0.5;

interface Window {
  from: number;
  to: number;
}

/** Read → History: months on one axis. */
export function HistoryScreen() {
  const { tank } = useAtTank();
  const search = route.useSearch();
  const [ref, width] = useWidth();
  const helper = useHelper();
  const span = useLogSpan(tank.id);
  const [now] = useState(() => Date.now());
  if (!span.data) return <Waiting error={span.error} retry={() => void span.refetch()} />;
  if (!span.data.from || !span.data.to) {
    return (
      <div className="grid justify-items-start gap-2">
        <h1 className="text-xl font-bold">History</h1>
        <p className="text-lg">Your log is empty. Import a logger’s file to add months at once.</p>
        {!helper && (
          <Link
            to="/tank/$tankId/bring"
            params={{ tankId: tank.id }}
            className={buttonLook('main')}
          >
            Import a file
          </Link>
        )}
      </div>
    );
  }
  const last = Date.parse(span.data.to);
  // A log that goes on is shown up to now, with what was noted since its last reading.
  const whole = {
    from: Date.parse(span.data.from),
    to: now - last < GOES_ON ? Math.max(now, last) : last,
  };
  return (
    <div ref={ref}>
      {width > 0 && (
        <Months
          whole={whole}
          start={{
            from: search.from ? Date.parse(search.from) : whole.from,
            to: search.to ? Date.parse(search.to) : whole.to,
          }}
          width={width}
        />
      )}
    </div>
  );
}

function Months({ whole, start, width }: { whole: Window; start: Window; width: number }) {
  const { tank, units } = useAtTank();
  const navigate = route.useNavigate();
  const tell = useNotice();
  const [shown, setShown] = useState<Window>(() => within(start, whole));
  const [settled, setSettled] = useState(shown);
  const [pointed, setPointed] = useState<Pointed | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const helper = useHelper();
  const chapters = useChapters(tank.id, !helper).data ?? [];
  const [comparing, setComparing] = useState(false);
  const windows = useTwoWindows(tank.zone);
  const span = settled.to - settled.from;
  const query = useHistory(tank.id, {
    from: new Date(settled.from - MARGIN * span).toISOString(),
    to: new Date(settled.to + MARGIN * span).toISOString(),
    width: Math.min(4000, Math.round(width * (1 + 2 * MARGIN))),
  });

  // Of the days where the window came to rest: it moves with every pixel that is dragged.
  const said = useMemo(
    () => query.data && phOver(query.data, settled.from, settled.to, tank.zone),
    [query.data, settled, tank.zone],
  );

  useEffect(() => {
    const timer = setTimeout(() => {
      if (shown.from === settled.from && shown.to === settled.to) return;
      setSettled(shown);
      void navigate({
        search: { from: new Date(shown.from).toISOString(), to: new Date(shown.to).toISOString() },
        replace: true,
      });
    }, 250);
    return () => clearTimeout(timer);
  }, [shown, settled, navigate]);

  const move = useCallback(
    (share: number) =>
      setShown((w) => {
        const by = share * (w.to - w.from);
        return within({ from: w.from + by, to: w.to + by }, whole);
      }),
    [whole],
  );
  const zoom = useCallback(
    (factor: number, around = 0.5) =>
      setShown((w) => {
        const size = Math.max(2 * HOUR, (w.to - w.from) * factor);
        const fixed = w.from + around * (w.to - w.from);
        return within({ from: fixed - around * size, to: fixed + (1 - around) * size }, whole);
      }),
    [whole],
  );
  const last = (days: number) =>
    setShown(within({ from: whole.to - days * DAY, to: whole.to }, whole));

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === 'ArrowLeft') move(-0.25);
      else if (e.key === 'ArrowRight') move(0.25);
      else if (e.key === '+' || e.key === 'ArrowUp') zoom(0.6);
      else if (e.key === '-' || e.key === 'ArrowDown') zoom(1 / 0.6);
      else return;
      e.preventDefault();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [move, zoom]);

  useWheel(
    svg,
    (pixels, share) => zoom(Math.exp(pixels * 0.0016), share),
    query.data !== undefined,
  );

  if (!query.data) return <Waiting error={query.error} retry={() => void query.refetch()} />;
  const history = inUnits(query.data, units);
  const inner = width - LEFT - RIGHT;
  const timeAt = (e: PointerEvent<HTMLDivElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    return shown.from + ((e.clientX - box.left - LEFT) / inner) * (shown.to - shown.from);
  };
  const grab = (e: PointerEvent<HTMLDivElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    setPointed(null);
    if (comparing) windows.begin(timeAt(e));
  };
  const drag = (e: PointerEvent<HTMLDivElement>) => {
    const at = timeAt(e);
    if (e.buttons === 1) {
      if (comparing) windows.draw(at);
      else move(-e.movementX / inner);
      return;
    }
    setPointed(at < shown.from || at > shown.to ? null : { at, words: standingAt(history, at) });
  };
  const picture = () => {
    if (!svg.current) return;
    toPng(svg.current)
      .then((png) => download(png, `${tank.description.name} history.png`))
      .catch(() => tell('We couldn’t make the picture.'));
  };

  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-x-6 pb-1">
        <h1 className="text-xl font-bold">
          {said}
          <span className="font-normal text-soft">
            {' '}
            · {mediumDay(shown.from, tank.zone)} – {mediumDay(shown.to, tank.zone)}
          </span>
        </h1>
        <div className="flex flex-wrap items-center gap-1">
          <Button look="quiet" onClick={() => last(7)}>
            Last week
          </Button>
          <Button look="quiet" onClick={() => last(30)}>
            Last 30 days
          </Button>
          <Button look="quiet" onClick={() => setShown(whole)}>
            All
          </Button>
          <Button look="quiet" aria-label="Earlier" onClick={() => move(-0.25)}>
            ←
          </Button>
          <Button look="quiet" aria-label="Later" onClick={() => move(0.25)}>
            →
          </Button>
          <Button look="quiet" aria-label="Zoom in" onClick={() => zoom(0.6)}>
            Zoom in
          </Button>
          <Button look="quiet" aria-label="Zoom out" onClick={() => zoom(1 / 0.6)}>
            Zoom out
          </Button>
          {!helper && (
            <Button
              look="quiet"
              aria-pressed={comparing}
              className={comparing ? 'font-bold' : ''}
              onClick={() => setComparing(!comparing)}
            >
              Compare days
            </Button>
          )}
          <Button look="quiet" onClick={picture}>
            PNG
          </Button>
          <a
            className={buttonLook('quiet')}
            download
            href={`/api/v1/tanks/${tank.id}/log.csv?from=${new Date(shown.from).toISOString()}&to=${new Date(shown.to).toISOString()}`}
          >
            CSV
          </a>
        </div>
      </div>
      <div
        onPointerDown={grab}
        onPointerMove={drag}
        onPointerUp={windows.end}
        onPointerLeave={() => setPointed(null)}
        className={comparing ? 'cursor-col-resize' : 'cursor-grab active:cursor-grabbing'}
      >
        <HistoryDrawing
          ref={svg}
          history={history}
          from={shown.from}
          to={shown.to}
          width={width}
          zone={tank.zone}
          band={tank.description.band}
          units={units}
          pointed={pointed}
          chapters={chapters.flatMap((c) => (c.from ? [Date.parse(c.from)] : []))}
          windows={comparing ? windows.marked : []}
        />
      </div>
      <p className="min-h-7 text-soft" aria-hidden>
        {pointed
          ? `${dayAndTime(new Date(pointed.at).toISOString(), tank.zone)} · ${pointed.words.join(' · ')}`
          : comparing
            ? 'Drag over the days to compare. The wheel and arrow keys still move the log.'
            : 'Drag to move, scroll to zoom, or use the arrow keys.'}
      </p>
      {comparing && <CompareDays windows={windows} />}
      <WhatChanged
        events={history.events.filter(
          (e) => Date.parse(e.at) <= shown.to && Date.parse(e.until ?? e.at) >= shown.from,
        )}
      />
      <Chapters chapters={chapters} />
    </>
  );
}

/** React listens to the wheel passively; zooming must keep the page from scrolling. */
function useWheel(
  svg: React.RefObject<SVGSVGElement | null>,
  turned: (pixels: number, share: number) => void,
  ready: boolean,
) {
  const handler = useRef(turned);
  useEffect(() => {
    handler.current = turned;
  });
  useEffect(() => {
    const drawing = svg.current;
    if (!drawing || !ready) return;
    const onWheel = (e: WheelEvent) => {
      e.preventDefault();
      const box = drawing.getBoundingClientRect();
      const share = (e.clientX - box.left - LEFT) / (box.width - LEFT - RIGHT);
      handler.current(e.deltaY, Math.min(1, Math.max(0, share)));
    };
    drawing.addEventListener('wheel', onWheel, { passive: false });
    return () => drawing.removeEventListener('wheel', onWheel);
  }, [svg, ready]);
}

/** A window no larger than the log and not beyond its ends. */
function within(wanted: Window, whole: Window): Window {
  const size = Math.min(Math.max(wanted.to - wanted.from, 2 * HOUR), whole.to - whole.from);
  const from = Math.min(Math.max(wanted.from, whole.from), whole.to - size);
  return { from, to: from + size };
}
