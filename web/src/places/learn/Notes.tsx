import { Link } from '@tanstack/react-router';
import type { ReactNode } from 'react';
import { useAtTank } from '../../TankContext';

/** Learn → Notes: where keepers disagree, and where the sums disagree with a rule of practice. */
export function Notes() {
  return (
    <div className="grid max-w-3xl gap-8">
      <div>
        <h1 className="text-xl font-bold">Notes</h1>
        <p className="text-soft">
          Where keepers disagree, what the physics says, and where it departs from a rule of
          practice. Your own tank’s numbers are one step further.
        </p>
      </div>
      <Note question="Do bubbles or the surface exchange the gas?" see={['ledger', 'Ledger']}>
        Both, and differently for each gas. A bubble is nearly full of CO2 before it arrives at the
        top, so CO2 leaves with the <em>air flow</em>; oxygen passes slowly through the bubble’s
        skin, so it comes with the <em>area</em>. The pressure of the water adds only about 1 % for
        ten centimetres. The ledger shows the shares of your tank.
      </Note>
      <Note question="Is an air stone needed?" see={['margin', 'Margin']}>
        Not every tank, and not never: what decides is demand against supply at the worst hour,
        before lights-on, on the hottest day, with a pump off.
      </Note>
      <Note question="Does more agitation lift pH?" see={['bench', 'Bench']}>
        Only while the water holds more CO2 than the air above it. In a full room after a bright day
        it lowers pH: the water takes CO2 up.
      </Note>
      <Note question="Does more oxygen lift pH?">
        No. Air is 20.9 % oxygen indoors and out. What lifts pH is CO2 that leaves.
      </Note>
      <Note question="Did it help?" see={['effects', 'Effects']}>
        Whole days at the same hours, before and after, the settling left out. The tank as it was is
        run through the days after, in their own room and alkalinity: what it would have shown is
        not the remedy’s. What is left has an interval, from the days’ scatter, the fit’s and the
        probe’s. An empty home lifts the trough further than most remedies do. What was taken back
        before a whole day had passed is compared by its hours with the same hours of the days
        before.
      </Note>
      <Note question="Who is to blame?" see={['suspects', 'Suspects']}>
        Each of twenty causes is laid out as what it does to a day of this tank. The days since it
        began are set beside that, meters, tests and notes speak for themselves, and what is common
        counts more than what is rare. Several are alike in pH alone: a kinked hose and a clogged
        skimmer, a still surface and a clogged stone. Then only a check parts them, and the one that
        tells most for its trouble stands first. How common each is comes from memory, and a log
        never says so much that a check could not turn it.
      </Note>
      <Note question="What did nobody note?" see={['effects', 'Effects']}>
        A skimmer that clogs, an animal that rots, a clock that was set, a probe that jumps: each
        bends the day in a shape of its own. A weaker skimmer moves night and afternoon apart, a
        probe moves all hours alike. Days are laid beside the twin, and where one such shape
        explains more than chance does, that day is offered as an event: note it, or say that it is
        nothing.
      </Note>
      <Note question="What does an empty home do?" see={['effects', 'Effects']}>
        It is the experiment that costs nothing. Each hour is set beside the same hour of the week
        before; how far pH moves is another at each hour of the clock, for a home is fuller in the
        evening than at noon. How fast the room’s CO2 falls once everybody has left is its air
        changes an hour, as in any tracer-gas test.
      </Note>
      <Note question="Does the doser give what it is set to?" see={['doses', 'Doses']}>
        Often not: tubes age, air gets in, limewater crusts. What a reservoir holds now and then,
        beside what was planned by then, tells the share that arrives, long before the bottle is
        empty. What arrives less what tests show is what the tank uses; skeletons and crusts take 20
        mg/L of calcium with each meq/L alike.
      </Note>
      <Note question="Outdoor air or media?" see={['bench', 'Bench']}>
        Outdoor air removes the source and costs a hose; media go lower than outdoors and cost every
        month. The Bench puts both on your tank, with their prices.
      </Note>
      <Note question="Recirculate the skimmer’s exhaust?" see={['media', 'Media']}>
        Media last longer by CO2 and drown by water: saturated exhaust cools a few degrees on its
        way and leaves about two grams of water an hour at 600 L/h. Always on, a kilogram drowns in
        three to four days, as practice says. By night only, with dry fresh air through them by day,
        they do not. Never fully closed: 2 to 5 % of fresh air nearly restores the night’s oxygen.
      </Note>
      <Note question="Does limewater mask the cause?" see={['sums', 'Sums']}>
        It offsets: alkalinity without carbon, paid for by CO2. How much depends on the dose. 60 mL
        a day of half-strength limewater into 110 L is +0.03 dKH a day and cannot alone explain +0.3
        of pH.
      </Note>
      <Note question="Bicarbonate or soda ash?" see={['sums', 'Sums']}>
        For the same alkalinity soda ash lifts pH at once, bicarbonate slightly lowers it,
        hydroxides lift it most. Once the air has answered, all end at the same pH. Potassium
        hydroxide adds 14 mg/L of potassium for each dKH: it builds up within a month or two.
      </Note>
      <section aria-labelledby="departs" className="grid gap-4 border-t pt-4">
        <h2 id="departs" className="text-lg font-bold">
          Where the sums depart from a rule
        </h2>
        <p>
          <strong>“A thin line does nothing.”</strong> In an ordinary room (900 ppm) a line that
          keeps a tenth to a quarter of the draw is worth next to nothing, or less. In a badly
          loaded one (1300 ppm) the same line still gives about +0.07 by the model: what little
          arrives is far better air. We keep the physics; measure your draw before and after.
        </p>
        <p>
          <strong>“The pH peaks at lights-off.”</strong> With lamps that switch, yes. With a ramp,
          or with people coming home, the peak comes earlier. The day ribbon flags where yours is.
        </p>
        <p>
          <strong>“A closed loop is fatal within a night.”</strong> The model’s lowest oxygen in one
          closed night lies higher than practice fears wherever the open surface is lively, for that
          goes on breathing: 5.2 mg/L on a tank like Lantern Reef. With 2, 5 and 10 % of fresh air
          it is 6.2, 6.3 and 6.4, as it is open. Never close it.
        </p>
        <p>
          <strong>“A second chamber on the reactor lifts pH.”</strong> Only when the effluent is
          turned down for it: the chamber binds the same CO2 to more alkalinity. The Bench computes
          with the tap turned until the alkalinity is as before.
        </p>
      </section>
      <section aria-labelledby="wrong" className="border-t pt-4">
        <h2 id="wrong" className="text-lg font-bold">
          Not so
        </h2>
        <ul className="list-disc pl-5">
          <li>Nitrate does not leave with bubbles: it is not volatile.</li>
          <li>Potassium chloride does not lift pH: it is a neutral salt.</li>
          <li>
            A UPS that carries 100 W for 23 minutes does not carry 3 W for 11 hours: its inverter
            takes watts, too.
          </li>
        </ul>
      </section>
    </div>
  );
}

type Screen = 'suspects' | 'effects' | 'ledger' | 'margin' | 'bench' | 'media' | 'doses' | 'sums';

function Note({
  question,
  see,
  children,
}: {
  question: string;
  see?: [Screen, string];
  children: ReactNode;
}) {
  const { tank } = useAtTank();
  return (
    <section className="border-t pt-3">
      <h2 className="text-lg font-bold">{question}</h2>
      <p className="pt-1">
        {children}{' '}
        {see && (
          <Link
            to={`/tank/$tankId/${see[0]}`}
            params={{ tankId: tank.id }}
            className="underline underline-offset-4"
          >
            {see[1]} of this tank
          </Link>
        )}
      </p>
    </section>
  );
}
