import { getRouteApi, Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useDosing, useMixingCard } from '../../api/dosing';
import type { Line, MixingCard } from '../../api/types';
import { ROUTE } from '../../frame/places';
import { show } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { Button, buttonLook } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { weighed } from './doseWords';
import { guardInWords } from './VesselGuard';

const route = getRouteApi('/signed-in/tank/$tankId/card');

/** Do → Dosing → how a vessel is mixed, with the label that stands on it. */
export function MixingCardScreen() {
  const { tank } = useAtTank();
  const { line: id } = route.useSearch();
  const doses = useDosing(tank.id);
  const line = doses.data?.lines.find((l) => l.id === id);
  if (!doses.data) return <Waiting error={doses.error} retry={() => void doses.refetch()} />;
  return line ? (
    <Card line={line} />
  ) : (
    <p>This dosing line was removed. Dosing lists the others.</p>
  );
}

function Card({ line }: { line: Line }) {
  const { tank, units } = useAtTank();
  const [ml, setMl] = useState('');
  const [pure, setPure] = useState('');
  const percent = readNumber(pure);
  const card = useMixingCard(
    tank.id,
    line.id,
    readNumber(ml) ?? undefined,
    percent === null ? undefined : percent / 100,
  );
  return (
    <div className="grid max-w-3xl gap-6">
      <h1 className="text-xl font-bold">
        How “{line.name}” is mixed
        <span className="font-normal text-soft">
          {' '}
          · {show((readNumber(ml) ?? line.vesselMl) / 1000, 'volume', units)}
        </span>
      </h1>
      {card.data ? (
        <>
          <Mixed card={card.data} pure={pure} />
          <p>{guardInWords(line)}</p>
        </>
      ) : (
        <Waiting error={card.error} retry={() => void card.refetch()} />
      )}
      <form className="flex flex-wrap items-end gap-3" onSubmit={(e) => e.preventDefault()}>
        <Field
          label={`Mix another amount than ${Math.round(line.vesselMl)} mL`}
          inputMode="decimal"
          unit="mL"
          value={ml}
          onChange={(e) => setMl(e.target.value)}
          error={card.data ? undefined : card.error?.message}
          className="w-56"
        />
        <Field
          label="Purity of the powder (maker’s analysis)"
          inputMode="decimal"
          unit="%"
          value={pure}
          onChange={(e) => setPure(e.target.value)}
          className="w-56"
        />
        <Button look="main" type="button" onClick={() => window.print()}>
          Print card and label
        </Button>
        <Link to={ROUTE.dosing} params={{ tankId: tank.id }} className={buttonLook('quiet')}>
          Back to Dosing
        </Link>
      </form>
    </div>
  );
}

function Mixed({ card, pure }: { card: MixingCard; pure: string }) {
  const { units } = useAtTank();
  return (
    <>
      <p className="text-2xl leading-snug font-semibold">
        {weighed(card, units)}
        <span className="block text-lg font-normal">{card.powder}</span>
      </p>
      <ol className="grid list-decimal gap-1.5 pl-6 text-lg leading-snug">
        {card.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <section
        aria-label="Label"
        className="w-full max-w-[26rem] break-inside-avoid border-2 border-ink p-4"
      >
        {card.label.map((line, i) => (
          <p key={line} className={i === 0 ? 'text-2xl font-bold' : 'leading-snug'}>
            {line}
          </p>
        ))}
        <p className="pt-3">mixed on ______________ by ______________</p>
      </section>
      <p className="text-sm text-soft">
        {pure ? `For a powder of ${pure} % purity` : 'For the pure, dry powder'}. The maker’s label
        comes first, and your local rules for storage and disposal.
      </p>
    </>
  );
}
