import { useState, type ReactNode } from 'react';
import {
  useAddByHand,
  useByHand,
  useChangedWater,
  useChangeWater,
  useForgetByHand,
  usePartedAddition,
  useTopOff,
} from '../../api/byHand';
import type {
  Amount,
  ByHand,
  Creep,
  DoseByHand,
  NewWaterChange,
  WaterPutIn,
} from '../../api/types';
import { measure, readAs } from '../../lib/measure';
import { useTyped } from '../../lib/kept';
import { readNumber } from '../../lib/number';
import { dayAndTime, localInput } from '../../lib/time';
import { ALKALINITY, alkalinityToMeq, showAlkalinity } from '../../lib/units';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { CAUSTIC, SOLUTES } from './doseWords';
import { additionWords, changeWords, evaporates, keepsUp, putIn } from './handWords';

const NEWEST = 6;
type What = Amount['what'];
const WHAT = (Object.keys(SOLUTES) as What[])
  .filter((s) => s !== 'POTASSIUM_CHLORIDE')
  .map((value) => ({ value, label: SOLUTES[value] }));

/** Single additions and water changes: what they would do, and what was put in. */
export function ByHandSection({ creep }: { creep: Creep }) {
  const { tank, units } = useAtTank();
  const all = useByHand(tank.id);
  const [kind, setKind] = useState<DoseByHand['put']>('ADDITION');
  const [more, setMore] = useState(false);
  if (!all.data) return <Waiting error={all.error} retry={() => void all.refetch()} />;
  const { doses, weeklyShare, evaporated, sea } = all.data;
  const enough = keepsUp(creep, weeklyShare);
  return (
    <section aria-labelledby="by-hand" className="grid gap-3 border-t pt-4">
      <h2 id="by-hand" className="text-xl font-bold">
        Dosed by hand
      </h2>
      {doses.length === 0 && (
        <p className="max-w-prose text-soft">
          Log spoonfuls of soda ash, cups of limewater and water changes. Otherwise your tests would
          look like use by the animals.
        </p>
      )}
      {enough && <p className="max-w-prose">{enough}</p>}
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="What"
          value={kind}
          onChange={(e) => setKind(e.target.value as typeof kind)}
          options={[
            { value: 'ADDITION', label: 'dose' },
            { value: 'WATER', label: 'water change' },
            { value: 'TOP_OFF', label: 'top-off with fresh water (RO)' },
          ]}
        />
      </div>
      {kind === 'ADDITION' && <Addition />}
      {kind === 'WATER' && <NewWaterForm seaMeqPerL={sea.meqPerL} />}
      {kind === 'TOP_OFF' && <TopOffForm evaporated={evaporated} />}
      <ul className="grid">
        {(more ? doses : doses.slice(0, NEWEST)).map((dose) => (
          <PutIn key={dose.id} dose={dose} says={putIn(dose, units)} />
        ))}
      </ul>
      {doses.length > NEWEST && (
        <Button look="quiet" className="justify-self-start" onClick={() => setMore(!more)}>
          {more ? 'Show the newest only' : `Show all ${doses.length}`}
        </Button>
      )}
    </section>
  );
}

function PutIn({ dose, says }: { dose: DoseByHand; says: string }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const forget = useForgetByHand(tank.id);
  const add = useAddByHand(tank.id);
  const change = useChangeWater(tank.id);
  const topOff = useTopOff(tank.id);
  const again = () => {
    const { at, note } = dose;
    if (dose.put === 'TOP_OFF') topOff.mutate({ at, note, litres: dose.litres ?? 0 });
    else if (dose.what === undefined) change.mutate(waterAgain(dose));
    else
      add.mutate({
        at,
        note,
        amount: {
          what: dose.what,
          grams: dose.grams,
          ml: dose.ml,
          assay: dose.grams === undefined ? undefined : dose.share,
          share: dose.grams === undefined ? dose.share : undefined,
        },
      });
  };
  return (
    <li className="flex items-baseline gap-3 border-b py-1">
      <span className="w-36 shrink-0 text-soft">{dayAndTime(dose.at, tank.zone)}</span>
      <span>
        {says} <span className="text-soft">{dose.note}</span>
      </span>
      <Button
        look="quiet"
        className="ml-auto"
        aria-label={`Remove the entry of ${dayAndTime(dose.at, tank.zone)}`}
        disabled={forget.isPending}
        onClick={() => forget.mutate(dose.id, { onSuccess: () => tell('Removed.', () => again()) })}
      >
        ✕
      </Button>
    </li>
  );
}

const waterAgain = ({ at, note, litres, meqPerL, calciumMgPerL }: DoseByHand): NewWaterChange => ({
  at,
  note,
  water: { litres: litres ?? 0, meqPerL, calciumMgPerL },
});

/** Fields, what they come to as one types, and the press that notes it. */
function HandForm({
  fields,
  says,
  cautions,
  refused,
  ready,
  note,
}: {
  fields: ReactNode;
  says: readonly string[];
  cautions: readonly string[];
  refused: string | undefined;
  ready: boolean;
  note: (at: string, words: string) => Promise<{ id: string }>;
}) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const forget = useForgetByHand(tank.id);
  const [at, setAt] = useState(() => localInput(new Date(), tank.zone));
  const [words, setWords] = useTyped(`by-hand-${tank.id}-words`, () => '');
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!ready) return;
        note(at, words)
          .then(({ id }) => {
            setWords('');
            tell('Added.', () => forget.mutate(id));
          })
          .catch(() => undefined);
      }}
    >
      <div className="flex flex-wrap items-end gap-3">{fields}</div>
      {says.map((sentence) => (
        <p key={sentence} className="max-w-prose text-lg leading-snug">
          {sentence}
        </p>
      ))}
      {cautions.map((caution) => (
        <p key={caution} className="max-w-prose border-l-4 border-danger pl-3">
          ■ {caution}
        </p>
      ))}
      <div className="flex flex-wrap items-end gap-3">
        <When label="at" kind="moment" value={at} onChange={(e) => setAt(e.target.value)} />
        <Field
          label="Note (optional)"
          value={words}
          maxLength={200}
          onChange={(e) => setWords(e.target.value)}
          className="w-56"
        />
        <Button type="submit" disabled={!ready}>
          Add to log
        </Button>
      </div>
      <Refusal message={refused} />
    </form>
  );
}

function Addition() {
  const { tank, units } = useAtTank();
  const add = useAddByHand(tank.id);
  const [what, setWhat] = useState<What>('SODA_ASH');
  const [how, setHow] = useState<'G' | 'ML'>('G');
  const [much, setMuch] = useTyped(`by-hand-${tank.id}-much`, () => '');
  const [share, setShare] = useState('100');
  const number = readNumber(much);
  const part = (readNumber(share) ?? 100) / 100;
  const amount: Amount | undefined =
    number === null
      ? undefined
      : how === 'G'
        ? { what, grams: number, assay: part }
        : { what, ml: number, share: part };
  const sum = usePartedAddition(tank.id, amount);
  const known = amount !== undefined && !sum.error && sum.data !== undefined;
  const burns = CAUSTIC.includes(what);
  return (
    <HandForm
      ready={known}
      says={known ? additionWords(sum.data, amount, units) : []}
      cautions={
        known
          ? [
              burns
                ? 'Wear goggles and gloves: this burns skin and eyes. Add powder to water, never water to powder. Dose it dissolved, a little at a time, into strong flow.'
                : 'Dose it dissolved, a little at a time, into strong flow. Keep alkalinity and calcium 15 minutes and some distance apart.',
            ]
          : []
      }
      refused={(amount && sum.error?.message) ?? add.error?.message}
      note={(at, note) => add.mutateAsync({ at, note, amount: amount as Amount })}
      fields={
        <>
          <Choice
            label="of"
            value={what}
            onChange={(e) => setWhat(e.target.value as What)}
            options={WHAT}
          />
          <Choice
            label="as"
            value={how}
            onChange={(e) => setHow(e.target.value as typeof how)}
            options={[
              { value: 'G', label: 'weighed powder' },
              { value: 'ML', label: 'a solution' },
            ]}
          />
          <Field
            label="How much"
            inputMode="decimal"
            unit={how === 'G' ? 'g' : 'mL'}
            value={much}
            onChange={(e) => setMuch(e.target.value)}
            className="w-32"
          />
          <Field
            label={how === 'G' ? 'Pure (washing soda: 37)' : 'Share of saturation'}
            inputMode="decimal"
            unit="%"
            value={share}
            onChange={(e) => setShare(e.target.value)}
            className="w-48"
          />
        </>
      }
    />
  );
}

/** Each time as much as was gone since the time before: after three times what evaporates is measured. */
function TopOffForm({ evaporated }: { evaporated: ByHand['evaporated'] }) {
  const { tank, units } = useAtTank();
  const topOff = useTopOff(tank.id);
  const [volume, setVolume] = useTyped(`by-hand-${tank.id}-top-off`, () => '');
  const litres = readAs(volume, 'volume', units);
  return (
    <HandForm
      ready={litres !== undefined}
      says={[evaporates(evaporated, units)]}
      cautions={[]}
      refused={topOff.error?.message}
      note={(at, note) => topOff.mutateAsync({ at, note, litres: litres ?? 0 })}
      fields={
        <Field
          label="How much"
          inputMode="decimal"
          unit={measure('volume', units).label}
          value={volume}
          onChange={(e) => setVolume(e.target.value)}
          className="w-32"
        />
      }
    />
  );
}

function NewWaterForm({ seaMeqPerL }: { seaMeqPerL: number }) {
  const { tank, units } = useAtTank();
  const change = useChangeWater(tank.id);
  const [volume, setVolume] = useTyped(`by-hand-${tank.id}-change`, () => '');
  const [alkalinity, setAlkalinity] = useTyped(`by-hand-${tank.id}-alkalinity`, () => '');
  const [calcium, setCalcium] = useTyped(`by-hand-${tank.id}-calcium`, () => '');
  const litres = readAs(volume, 'volume', units);
  const shown = readNumber(alkalinity);
  const water: WaterPutIn | undefined =
    litres === undefined
      ? undefined
      : {
          litres,
          meqPerL: shown === null ? undefined : alkalinityToMeq(shown, units.alkalinity),
          calciumMgPerL: readNumber(calcium) ?? undefined,
        };
  const sum = useChangedWater(tank.id, water);
  const known = water !== undefined && !sum.error && sum.data !== undefined;
  return (
    <HandForm
      ready={known}
      says={known ? changeWords(sum.data, units) : []}
      cautions={
        known
          ? [
              'Match salinity and temperature. Stir and aerate the new water for hours until it is clear. Switch off heaters and pumps before they run dry.',
            ]
          : []
      }
      refused={(water && sum.error?.message) ?? change.error?.message}
      note={(at, note) => change.mutateAsync({ at, note, water: water as WaterPutIn })}
      fields={
        <>
          <Field
            label="How much"
            inputMode="decimal"
            unit={measure('volume', units).label}
            value={volume}
            onChange={(e) => setVolume(e.target.value)}
            className="w-32"
          />
          <Field
            label={`Alkalinity of the new water (empty: ${showAlkalinity(seaMeqPerL, units.alkalinity)}, like the sea)`}
            inputMode="decimal"
            unit={ALKALINITY[units.alkalinity].label}
            value={alkalinity}
            onChange={(e) => setAlkalinity(e.target.value)}
            className="w-64"
          />
          <Field
            label="Calcium of the new water (empty: like the sea)"
            inputMode="decimal"
            unit="mg/L"
            value={calcium}
            onChange={(e) => setCalcium(e.target.value)}
            className="w-56"
          />
        </>
      }
    />
  );
}
