import { Link } from '@tanstack/react-router';
import type { ReactNode } from 'react';
import { ROUTE, type ScreenPath } from '../../frame/places';
import { useAtTank } from '../../TankContext';
import { Manual } from './Manual';

/** Learn → Handbook: the manual, where keepers disagree, and where the model departs from a rule of thumb. */
export function Handbook() {
  return (
    <div className="grid max-w-3xl gap-8">
      <div>
        <h1 className="text-xl font-bold">Handbook</h1>
        <nav aria-label="Parts of the handbook" className="flex gap-6 pt-1">
          <a href="#manual" className="underline underline-offset-4">
            How to work with Jolly Tide
          </a>
          <a href="#questions" className="underline underline-offset-4">
            Where keepers disagree
          </a>
        </nav>
      </div>
      <section id="manual" aria-label="How to work with Jolly Tide">
        <Manual />
      </section>
      <div id="questions" className="border-t pt-4">
        <h2 className="text-xl font-bold">Where keepers disagree</h2>
        <p className="text-soft">
          What the physics says, and where it departs from a rule of thumb. Each note links to your
          own tank’s numbers.
        </p>
      </div>
      <Note
        question="Do bubbles or the surface exchange the gas?"
        see={['gasBalance', 'Gas balance']}
      >
        Both, and differently for each gas. A bubble fills with CO2 before it reaches the top, so
        CO2 leaves with the <em>air flow</em>. Oxygen passes the bubble’s skin slowly, so
        <em>area</em> counts. The pressure of the water adds only about 1 % for ten centimetres. The
        gas balance shows the shares of your tank.
      </Note>
      <Note question="Is an air stone needed?" see={['oxygenMargin', 'Oxygen margin']}>
        Some tanks need one. What decides is demand and supply at the worst hour: before lights-on,
        on the hottest day, with a pump off.
      </Note>
      <Note question="Does more agitation raise pH?" see={['bench', 'Bench']}>
        Only while the water holds more CO2 than the air above it. In a full room after a bright day
        agitation lowers pH, because the water takes up CO2.
      </Note>
      <Note question="Does more oxygen raise pH?">
        No. Air is 20.9 % oxygen indoors and out. What raises pH is CO2 leaving the water.
      </Note>
      <Note question="Did it help?" see={['effects', 'Effects']}>
        We compare whole days before and after, at the same hours, without the settling time. The
        model runs the old setup through the days after, with their room air and alkalinity. What
        that explains does not count for the change. The rest has a range, from scatter of days,
        model and probe. An empty home raises the daily low more than most changes do. A change
        undone within a day is compared hour by hour.
      </Note>
      <Note question="What is the cause?" see={['suspects', 'Suspects']}>
        We simulate what each of twenty causes would do to a day of this tank. Then we compare that
        with your days, meters, tests and notes. Common causes count more than rare ones. Several
        look alike in pH: a kinked hose and a clogged skimmer, a still surface and a clogged stone.
        Only a check can separate those, so the most useful check stands first. How common each
        cause is comes from memory. A check can always overrule the log.
      </Note>
      <Note question="What is missing from the log?" see={['effects', 'Effects']}>
        A clogging skimmer, a dead animal, a changed clock or a jumping probe bends the day in its
        own way. A weaker skimmer moves night and afternoon apart. A probe moves all hours alike. We
        compare days with the model. Where one such shape explains more than chance, we offer that
        day as an event. Add it, or say it was nothing.
      </Note>
      <Note question="What does an empty home do?" see={['effects', 'Effects']}>
        An empty home is a free experiment. We compare each hour with the same hour of the week
        before. The effect differs by hour, because a home is fuller in the evening than at noon.
        How fast the room’s CO2 falls gives its air changes an hour, as in any tracer-gas test.
      </Note>
      <Note question="Does your doser deliver what you set?" see={['dosing', 'Dosing']}>
        Often not: tubes age, air gets in, limewater crusts. Reservoir levels show the share that
        arrives, long before the bottle is empty. What arrives minus what tests show is what the
        tank uses. Coral growth takes 20 mg/L of calcium with each meq/L.
      </Note>
      <Note question="Outdoor air or media?" see={['bench', 'Bench']}>
        Outdoor air removes the source and costs a hose. Media go lower than outdoor air and cost
        money every month. The Bench tries both on your tank, with prices.
      </Note>
      <Note question="Recirculate the skimmer’s exhaust?" see={['media', 'Media']}>
        Recirculated media last longer for CO2, but water drowns them. Moist exhaust cools on its
        way and leaves about two grams of water an hour at 600 L/h. Always on, a kilogram drowns in
        three to four days, as practice says. At night only, with fresh air by day, media stay dry.
        Never close the loop fully: 2–5 % fresh air nearly restores the night’s oxygen.
      </Note>
      <Note question="Does limewater hide the cause?" see={['calculators', 'Calculators']}>
        Limewater offsets CO2: it adds alkalinity without carbon. How much depends on the dose. 60
        mL a day of half-strength limewater in 110 L adds 0.03 dKH a day. That alone can’t explain
        +0.3 of pH.
      </Note>
      <Note question="Bicarbonate or soda ash?" see={['calculators', 'Calculators']}>
        For the same alkalinity, soda ash raises pH at once, bicarbonate slightly lowers it,
        hydroxides raise it most. After gas exchange all end at the same pH. Potassium hydroxide
        adds 14 mg/L of potassium for each dKH, which builds up within a month or two.
      </Note>
      <section aria-labelledby="departs" className="grid gap-4 border-t pt-4">
        <h2 id="departs" className="text-lg font-bold">
          Where our model departs from a rule of thumb
        </h2>
        <p>
          <strong>“A thin hose does nothing.”</strong> In an ordinary room (900 ppm) it gains almost
          nothing if it keeps under a quarter of the air draw. In a bad room (1300 ppm) the same
          hose still gives about +0.07 in our model. The little air that arrives is far better.
          Measure your draw before and after.
        </p>
        <p>
          <strong>“pH is highest at lights-off.”</strong> With lamps that switch, yes. With a ramp,
          or with people coming home, the high comes earlier. Today shows when yours is.
        </p>
        <p>
          <strong>“A closed loop is fatal within a night.”</strong> Where the open surface moves
          well, our model finds more oxygen than practice fears. On a tank like Lantern Reef it is
          5.2 mg/L. With 2, 5 and 10 % fresh air it is 6.2, 6.3 and 6.4. Never close the loop.
        </p>
        <p>
          <strong>“A second chamber on the reactor raises pH.”</strong> Only if you turn the
          effluent down. The chamber binds the same CO2 to more alkalinity. The Bench turns the tap
          until alkalinity is as before.
        </p>
      </section>
      <section aria-labelledby="wrong" className="border-t pt-4">
        <h2 id="wrong" className="text-lg font-bold">
          Common errors
        </h2>
        <ul className="list-disc pl-5">
          <li>Nitrate does not leave with bubbles: it is not volatile.</li>
          <li>Potassium chloride does not raise pH: it is a neutral salt.</li>
          <li>
            A UPS that supplies 100 W for 23 minutes does not supply 3 W for 11 hours. The inverter
            uses watts, too.
          </li>
        </ul>
      </section>
    </div>
  );
}

function Note({
  question,
  see,
  children,
}: {
  question: string;
  see?: [ScreenPath, string];
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
            to={ROUTE[see[0]]}
            params={{ tankId: tank.id }}
            className="underline underline-offset-4"
          >
            {see[1]} for this tank
          </Link>
        )}
      </p>
    </section>
  );
}
