import { useState } from 'react';
import { useOffer, usePreview, useStartImport } from '../../../api/imports';
import type { Offer, TimeForm } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { OneOf } from '../../../parts/OneOf';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { firstAnswers, open, plan, type Answers } from './answers';
import { BackToFiles } from './Bring';
import { ChannelQuestion } from './ChannelQuestion';
import { PreviewTable } from './PreviewTable';
import { zones } from './zones';

const FORM: Record<TimeForm, string> = {
  YEAR_FIRST: 'year, month, day',
  DAY_FIRST: 'the day comes first',
  MONTH_FIRST: 'the month comes first',
  MONTH_NAMED: 'the month by name',
  EPOCH_SECONDS: 'seconds since 1970',
  EPOCH_MILLIS: 'milliseconds since 1970',
  SPREADSHEET_DAYS: 'a spreadsheet’s day numbers',
};

/** What the file seems to hold, with a question for everything that it cannot say itself. */
export function Questions({ id }: { id: number }) {
  const { tank } = useAtTank();
  const offer = useOffer(tank.id, id);
  if (!offer.data) {
    return (
      <>
        <Waiting error={offer.error} retry={() => void offer.refetch()} />
        <BackToFiles />
      </>
    );
  }
  return <Asked offer={offer.data} />;
}

function Asked({ offer }: { offer: Offer }) {
  const { tank } = useAtTank();
  const [answers, setAnswers] = useState<Answers>(() => firstAnswers(offer));
  const ready = plan(offer, answers);
  const preview = usePreview(tank.id, offer.view.id, ready);
  const start = useStartImport(tank.id, offer.view.id);
  const left = open(offer, answers);
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <section aria-labelledby="holds">
        <h1 id="holds" className="text-xl font-bold">
          {offer.view.name}
          <span className="font-normal text-soft">
            {' '}
            · {size(offer.view.bytes)} · {offer.channels.length} columns of numbers
          </span>
        </h1>
        <p className="pb-2 text-soft">
          We ask what the file does not say. Leave out columns you don’t want.
        </p>
        {offer.timeForms.length > 1 && (
          <div className="border-t py-3">
            <OneOf
              legend="How does the file write dates?"
              value={answers.timeForm}
              options={offer.timeForms.map((f) => ({ value: f, label: FORM[f] }))}
              onChange={(timeForm) => setAnswers({ ...answers, timeForm })}
            />
          </div>
        )}
        {!offer.zoneStated && (
          <div className="border-t py-3">
            <OneOf
              legend="Which clock did the logger use?"
              value={answers.zone}
              options={zones(offer.zone)}
              onChange={(zone) => setAnswers({ ...answers, zone })}
            />
          </div>
        )}
        {offer.channels.map((channel) => {
          const answer = answers.channels[channel.key];
          return (
            answer && (
              <ChannelQuestion
                key={channel.key}
                channel={channel}
                answer={answer}
                onChange={(changed) =>
                  setAnswers({
                    ...answers,
                    channels: { ...answers.channels, [channel.key]: changed },
                  })
                }
              />
            )
          );
        })}
        <div className="sticky bottom-14 flex flex-wrap items-center gap-4 border-t bg-paper py-3 md:bottom-0">
          <Button
            look="main"
            className="px-8"
            disabled={left > 0 || !ready || start.isPending}
            onClick={() => ready && start.mutate(ready)}
          >
            Add to log
          </Button>
          <span className="text-soft" role="status">
            {left === 0
              ? ready
                ? 'No questions left.'
                : 'Choose at least one column.'
              : left === 1
                ? 'One question is open.'
                : `${left} questions are open.`}
          </span>
          <BackToFiles />
        </div>
        {start.error && (
          <p role="alert" className="pt-2 font-semibold">
            ✕ {start.error.message}
          </p>
        )}
      </section>
      <PreviewTable
        preview={ready ? preview.data : undefined}
        error={preview.error}
        clockAsked={answers.zone === null}
      />
    </div>
  );
}

function size(bytes: number): string {
  return bytes < 1e6
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1e6).toFixed(1)} MB`;
}
