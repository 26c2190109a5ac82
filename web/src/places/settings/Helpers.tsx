import { useState, type SubmitEvent } from 'react';
import { useHelpers, useInvite, useWithdraw } from '../../api/helpers';
import type { Home } from '../../api/types';
import { shortTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';

/** Who helps: invited to one home by a link, which holds until it is withdrawn. */
export function Helpers({ homes, now }: { homes: Home[]; now: Date }) {
  return (
    <section aria-labelledby="helpers" className="grid gap-4 border-t pt-5">
      <div>
        <h2 id="helpers" className="text-lg font-bold">
          Helpers
        </h2>
        <p className="text-soft">
          A helper opens a link, no account needed: sees the tanks of one home, the outage and what
          is due, logs readings and steps, and changes nothing else.
        </p>
      </div>
      {homes.map((home) => (
        <HelpersAt key={home.id} home={home} now={now} />
      ))}
    </section>
  );
}

function HelpersAt({ home, now }: { home: Home; now: Date }) {
  const helpers = useHelpers(home.id).data ?? [];
  const invite = useInvite(home.id);
  const withdraw = useWithdraw(home.id);
  const [name, setName] = useState('');
  const { name: homeName, zone } = home.description;
  const submit = (e: SubmitEvent) => {
    e.preventDefault();
    invite.mutate(name, { onSuccess: () => setName('') });
  };
  const local = ['localhost', '127.0.0.1', '[::1]'].includes(window.location.hostname);
  return (
    <section aria-labelledby={`helpers-${home.id}`}>
      <h3 id={`helpers-${home.id}`} className="pb-1 font-bold">
        {homeName}
      </h3>
      <form onSubmit={submit} className="flex items-start gap-4">
        <Field
          label="Their name"
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={invite.error?.message}
        />
        <Button type="submit" className="mt-6" disabled={invite.isPending || name.trim() === ''}>
          Make a link
        </Button>
      </form>
      {invite.data && (
        <div className="mt-3 border-l-4 border-accent pl-3" role="status">
          <p>
            For {invite.data.helper.name}. Copy it now, it is shown this once:{' '}
            <code className="font-bold break-all">
              {`${window.location.origin}/help#${invite.data.code}`}
            </code>
          </p>
          {local && (
            <p className="text-soft">
              It begins with this machine’s own address, which other devices cannot reach. Open this
              page from your home network (JOLLY_TIDE_BIND) and make the link there.
            </p>
          )}
        </div>
      )}
      <ul className="pt-3">
        {helpers.map((helper) => (
          <li key={helper.id} className="flex items-center justify-between gap-4 border-t">
            <span>
              {helper.name}{' '}
              <span className="text-sm text-soft">
                invited {shortTime(helper.createdAt, zone, now)},{' '}
                {helper.lastCameAt
                  ? `last came in ${shortTime(helper.lastCameAt, zone, now)}`
                  : 'not been here yet'}
              </span>
            </span>
            <Button look="quiet" onClick={() => withdraw.mutate(helper.id)}>
              withdraw {helper.name}’s link
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
