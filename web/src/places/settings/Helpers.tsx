import { useHelpers, useInvite, useWithdraw } from '../../api/helpers';
import type { Home } from '../../api/types';
import { words } from '../../lib/checks';
import { shortTime } from '../../lib/time';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Refusal } from '../../parts/Refusal';

const schema = z.object({ name: words('Enter a name.', 80) });

/** Who helps: invited to one home by a link, which holds until it is withdrawn. */
export function Helpers({ homes, now }: { homes: Home[]; now: Date }) {
  return (
    <section
      aria-labelledby="helpers"
      className="grid gap-4 border-t pt-5 first:border-t-0 first:pt-0"
    >
      <div>
        <h2 id="helpers" className="text-lg font-bold">
          Helpers
        </h2>
        <p className="text-soft">
          Helpers open a link without an account. They see the tanks of one home, the outage and
          what is due. They can log readings and steps, nothing else.
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
  const { form, field, refuse, refusal } = useTypedForm(schema, { name: '' });
  const { name: homeName, zone } = home.description;
  const make = form.handleSubmit(({ name }) =>
    invite.mutate(name, { onSuccess: () => form.reset(), onError: refuse }),
  );
  const local = ['localhost', '127.0.0.1', '[::1]'].includes(window.location.hostname);
  return (
    <section aria-labelledby={`helpers-${home.id}`}>
      <h3 id={`helpers-${home.id}`} className="pb-1 font-bold">
        {homeName}
      </h3>
      <form
        onSubmit={(e) => void make(e)}
        noValidate
        className="flex flex-col items-start gap-x-4 gap-y-2 md:flex-row"
      >
        <Field label="Name of the helper" maxLength={80} {...field('name')} />
        <Button type="submit" className="md:mt-6" disabled={invite.isPending}>
          Create a link
        </Button>
      </form>
      <Refusal message={refusal} />
      {invite.data && (
        <div className="mt-3 border-l-4 border-accent pl-3" role="status">
          <p>
            For {invite.data.helper.name}. Copy the link now, we show it only once:{' '}
            <code className="font-bold break-all">
              {`${window.location.origin}/help#${invite.data.code}`}
            </code>
          </p>
          {local && (
            <p className="text-soft">
              This link works on this machine only. Open this page from your home network
              (JOLLY_TIDE_BIND) and create the link there.
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
                  ? `last visit ${shortTime(helper.lastCameAt, zone, now)}`
                  : 'no visit yet'}
              </span>
            </span>
            <Button look="quiet" onClick={() => withdraw.mutate(helper.id)}>
              Revoke {helper.name}’s link
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
