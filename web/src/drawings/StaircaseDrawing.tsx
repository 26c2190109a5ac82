import type { Staircase } from '../api/types';
import { signed, toTen } from '../lib/number';
import { HALO } from './halo';
import { HatchPattern } from './Hatch';
import { layoutStaircase, type Step } from './staircaseLayout';

/** Outdoors, room, water: the levels of CO2 and the risers between them. A pure function of its data and width. */
export function StaircaseDrawing({ staircase, width }: { staircase: Staircase; width: number }) {
  const { height, floor, steps, intakeY } = layoutStaircase(staircase, width);
  const narrow = width < 560;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={inWords(staircase)}
      className="block"
    >
      <defs>
        <HatchPattern id="hatch-co2" colour="var(--co2)" />
      </defs>
      {steps.map((step) => (
        <g key={step.key} className="[&_rect]:transition-all [&_rect]:duration-500">
          {!step.expected && (
            <rect
              x={step.x}
              y={step.y}
              width={step.width}
              height={floor - step.y}
              fill="var(--co2-wash)"
            />
          )}
          <rect
            x={step.x}
            y={step.bandTop}
            width={step.width}
            height={Math.max(0, step.bandBottom - step.bandTop)}
            fill="url(#hatch-co2)"
          />
          {!step.expected && (
            <rect x={step.x} y={step.y - 1.5} width={step.width} height={3} fill="var(--co2)" />
          )}
        </g>
      ))}
      {steps.map((step, i) => {
        const before = steps[i - 1];
        if (!before || before.expected || step.expected) return null;
        const top = Math.min(before.y, step.y) - 1.5;
        return (
          <rect
            key={step.key}
            x={step.x - 1.5}
            y={top}
            width={3}
            height={Math.abs(before.y - step.y) + 3}
            fill="var(--co2)"
            className="transition-all duration-500"
          />
        );
      })}
      {steps.map((step) => (
        <StepLabel key={step.key} step={step} narrow={narrow} />
      ))}
      {steps.map((step, i) =>
        i > 0 ? (
          <RiserLabel
            key={step.key}
            step={step}
            staircase={staircase}
            floor={floor}
            narrow={narrow}
          />
        ) : null,
      )}
      {intakeY !== undefined && staircase.intake && (
        <g className="text-ink">
          <line
            x1={0}
            x2={width * 0.3}
            y1={intakeY}
            y2={intakeY}
            stroke="currentColor"
            strokeDasharray="6 4"
          />
          <text x={6} y={intakeY + 18} className="fill-ink text-sm">
            intake air {Math.round(staircase.intake.ppm.value)} ppm
          </text>
        </g>
      )}
      <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1} />
    </svg>
  );
}

function StepLabel({ step, narrow }: { step: Step; narrow: boolean }) {
  const x = step.x + (narrow ? 6 : 14);
  const y = step.bandTop - 12;
  const range = `${toTen(step.ppm.low)}–${toTen(step.ppm.high)}`;
  const balance = step.balancePh === undefined ? '' : `pH ${step.balancePh.toFixed(2)}`;
  if (step.expected) {
    return (
      <g>
        <text x={x} y={y - 20} className="fill-soft text-base" {...HALO}>
          {step.name}: not measured
        </text>
        <text x={x} y={y} className="fill-soft text-sm" {...HALO}>
          {narrow ? range : `${range} ppm expected, windows shut`}
        </text>
      </g>
    );
  }
  return (
    <g>
      {narrow && (
        <text x={x} y={y - 44} className="fill-ink text-sm font-semibold" {...HALO}>
          {step.name}
        </text>
      )}
      <text x={x} y={y - 20} className="fill-ink" {...HALO}>
        <tspan className="text-2xl font-bold">{Math.round(step.ppm.value)}</tspan>
        <tspan dx={4} className="text-sm">
          ppm
        </tspan>
        {!narrow && step.key !== 'outdoor' && (
          <tspan dx={8} className="fill-soft text-sm">
            {range}
          </tspan>
        )}
      </text>
      <text x={x} y={y} className="fill-soft text-sm" {...HALO}>
        {narrow
          ? balance
          : step.key === 'water'
            ? 'water'
            : [step.name, balance && `balance ${balance}`].filter(Boolean).join(' · ')}
      </text>
    </g>
  );
}

function RiserLabel({
  step,
  staircase,
  floor,
  narrow,
}: {
  step: Step;
  staircase: Staircase;
  floor: number;
  narrow: boolean;
}) {
  const riser = step.key === 'room' ? staircase.ventilation : staircase.tank;
  if (!riser) return null;
  const name = step.key === 'room' ? 'ventilation' : 'tank';
  const height = signed(riser.ppm.value);
  const without = riser.phNbsWithout === undefined ? [] : [riser.phNbsWithout.toFixed(2)];
  const notes = without.flatMap((ph) =>
    narrow ? ['without it', `pH ${ph}`] : [`without it, pH ${ph}`],
  );
  const titles = narrow ? [name, height] : [`${name} ${height}`];
  const x = step.x + (narrow ? 8 : 14);
  const y = Math.min(
    Math.max(step.y, step.bandBottom) + 26,
    floor - 20 * (titles.length + notes.length) + 6,
  );
  return (
    <g>
      {titles.map((title, i) => (
        <text key={title} x={x} y={y + 20 * i} className="fill-co2 font-bold">
          {title}
        </text>
      ))}
      {notes.map((note, i) => (
        <text key={note} x={x} y={y + 20 * (titles.length + i)} className="fill-ink text-sm">
          {note}
        </text>
      ))}
    </g>
  );
}

function inWords(s: Staircase): string {
  const levels = [
    `outdoors ${Math.round(s.outdoor.ppm.value)} ppm`,
    s.room ? `room ${Math.round(s.room.ppm.value)} ppm` : 'room not measured',
    s.water
      ? `water ${Math.round(s.water.ppm.value)} ppm, between ${toTen(s.water.ppm.low)} and ${toTen(s.water.ppm.high)}`
      : 'water unknown',
  ];
  return `CO2 staircase: ${levels.join('; ')}.`;
}
