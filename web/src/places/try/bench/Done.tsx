import { getRouteApi } from '@tanstack/react-router';
import { useState } from 'react';
import { useDeleteEvent, useDone, useEvent, useSetMeasures } from '../../../api/events';
import type { Problem } from '../../../api/client';
import type { MeasureKind, NewEvent, PutMeasure } from '../../../api/types';
import { BLANK, EventForm } from '../../../frame/EventForm';
import { signedRange } from '../../../lib/number';
import { localInput } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { Sheet } from '../../../parts/Sheet';
import { useAtTank } from '../../../TankContext';
import { inWords } from './measures';

const route = getRouteApi('/signed-in/tank/$tankId/bench');

/** What was tried is done: an event from then on, with what was forecast of it. */
export function Done({
  put,
  measures,
  takeOff,
}: {
  put: PutMeasure[];
  measures: readonly MeasureKind[];
  takeOff: () => void;
}) {
  const { tank, units } = useAtTank();
  const { event } = route.useSearch();
  const navigate = route.useNavigate();
  const [open, setOpen] = useState(false);
  const done = useDone(tank.id);
  const remove = useDeleteEvent(tank.id);
  const tell = useNotice();
  if (event) {
    return (
      <SayWhatItDid
        id={event}
        put={put}
        done={() => void navigate({ to: '/tank/$tankId/history', params: { tankId: tank.id } })}
      />
    );
  }
  const save = (body: NewEvent, refuse: (problem: Problem) => void, sent: () => void) =>
    done.mutate(
      { event: body, measures: put },
      {
        onSuccess: (noted) => {
          sent();
          const forecast = noted.event.forecast;
          tell(
            'Added to the log.' +
              (forecast
                ? ` Forecast saved: ${signedRange(forecast.gainPh)} on the daily low.`
                : '') +
              (noted.ended.length > 0 ? ` “${noted.ended.join('”, “')}” was ended.` : ''),
            noted.ended.length > 0 ? undefined : () => remove.mutate(noted.event.id),
          );
          setOpen(false);
          takeOff();
        },
        onError: refuse,
      },
    );
  return (
    <>
      <Button look="main" onClick={() => setOpen(true)}>
        I have done this
      </Button>
      <Sheet
        open={open}
        onOpenChange={setOpen}
        title="I have done this"
        about="From then on the model includes this change. We save the forecast to check it later. A change it replaces is ended."
      >
        <EventForm
          start={{
            ...BLANK,
            title: inWords(measures, put, units).slice(0, 120),
            at: localInput(new Date(), tank.zone),
          }}
          label={done.isPending ? 'Saving the forecast…' : 'Add to log'}
          pending={done.isPending}
          keptAs={`done-${tank.id}`}
          save={save}
        />
      </Sheet>
    </>
  );
}

/** An event that was noted without, says now what it did. */
function SayWhatItDid({ id, put, done }: { id: string; put: PutMeasure[]; done: () => void }) {
  const { tank } = useAtTank();
  const { data: event, error } = useEvent(tank.id, id);
  const set = useSetMeasures(tank.id);
  const tell = useNotice();
  return (
    <div className="grid gap-2">
      <Button
        look="main"
        disabled={!event || set.isPending}
        onClick={() =>
          event &&
          set.mutate(
            { id, version: event.version, measures: put },
            {
              onSuccess: () => {
                tell(`“${event.title}” did this.`);
                done();
              },
            },
          )
        }
      >
        {event ? `“${event.title}” did this` : 'Finding the event…'}
      </Button>
      <Refusal message={set.error?.message ?? error?.message} />
    </div>
  );
}
