import { scaleLinear, scaleTime } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Probe } from '../api/types';
import { signed } from '../lib/number';
import { MarkShape } from '../parts/Mark';
import { HatchPattern } from './Hatch';
import { TimeTicks } from './TimeTicks';
import { shortDay } from '../lib/time';

const LEFT = 52;
const RIGHT = 14;
const TOP = 10;
const HEIGHT = 190;
const BOTTOM = 24;
const LEAST_PH = 0.05;

/**
 * What a probe shows too little, through its calibrations: the line, how far it may still be off, what each time in the
 * buffers found, and what another method showed beside it.
 */
export function ProbeDrawing({
  probe,
  zone,
  width,
}: {
  probe: Probe;
  zone: string;
  width: number;
}) {
  const course = probe.course;
  const first = Date.parse(course[0]?.at ?? '');
  const last = Date.parse(course.at(-1)?.at ?? '');
  const shown = (at: string) => Date.parse(at) >= first && Date.parse(at) <= last;
  const found = probe.calibrations.flatMap((c) =>
    c.tooMuchPh !== undefined && shown(c.at) ? [{ at: c.at, ph: -c.tooMuchPh }] : [],
  );
  const beside = probe.compared.flatMap((c) =>
    c.pairs.filter((p) => shown(p.at)).map((p) => ({ at: p.at, ph: p.other - p.probe })),
  );
  const most = Math.max(
    LEAST_PH,
    ...course.map((c) => Math.abs(c.correctionPh) + c.uncertaintyPh),
    ...[...found, ...beside].map((f) => Math.abs(f.ph)),
  );
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleTime()
    .domain([first, last])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([-most * 1.05, most * 1.05])
    .range([TOP + HEIGHT, TOP]);
  const band = area<Probe['course'][number]>()
    .x((c) => x(Date.parse(c.at)))
    .y0((c) => y(c.correctionPh - c.uncertaintyPh))
    .y1((c) => y(c.correctionPh + c.uncertaintyPh));
  const middle = line<Probe['course'][number]>()
    .x((c) => x(Date.parse(c.at)))
    .y((c) => y(c.correctionPh));
  const now = course.at(-1);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={
        now
          ? `Correction to its readings: now ${signed(now.correctionPh, 2)}, ± ${now.uncertaintyPh.toFixed(2)}.`
          : ''
      }
      className="block"
    >
      <defs>
        <HatchPattern id="probe-doubt" colour="var(--ink)" />
      </defs>
      {y.ticks(5).map((tick) => (
        <g key={tick}>
          <line
            x1={LEFT}
            x2={width - RIGHT}
            y1={y(tick)}
            y2={y(tick)}
            stroke={Math.abs(tick) < 1e-9 ? 'var(--soft)' : 'var(--hairline)'}
          />
          <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="fill-soft text-sm">
            {Math.abs(tick) < 1e-9 ? '0' : signed(tick, 2)}
          </text>
        </g>
      ))}
      <path d={band(course) ?? undefined} fill="url(#probe-doubt)" />
      <path d={middle(course) ?? undefined} fill="none" stroke="var(--ink)" strokeWidth="1.8" />
      <g color="var(--ink)">
        {found.map((f) => (
          <MarkShape key={f.at} kind="measured" x={x(Date.parse(f.at))} y={y(f.ph)} />
        ))}
      </g>
      <g color="var(--alk)">
        {beside.map((b) => (
          <MarkShape key={b.at} kind="entered" x={x(Date.parse(b.at))} y={y(b.ph)} />
        ))}
      </g>
      <TimeTicks
        width={width}
        ticks={x.ticks(Math.max(2, Math.floor(width / 220)))}
        x={x}
        y={height - 6}
        says={(tick) => shortDay(tick, zone)}
      />
    </svg>
  );
}
