import { useCreateToken, useRevokeToken, useTokens } from '../../api/account';
import type { Home } from '../../api/types';
import { words } from '../../lib/checks';
import { shortTime } from '../../lib/time';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Refusal } from '../../parts/Refusal';

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

const schema = z.object({
  label: words('Enter what the token is for.', 80),
  mainsHomeId: z.string(),
});
const EMPTY = { label: '', mainsHomeId: '' };

/** Personal tokens for scripts. */
export function Tokens({ homes, now }: { homes: Home[]; now: Date }) {
  const tokens = useTokens().data ?? [];
  const create = useCreateToken();
  const revoke = useRevokeToken();
  const { form, field, refuse, refusal } = useTypedForm(schema, EMPTY);
  const homeName = (id: string) =>
    homes.find((home) => home.id === id)?.description.name ?? 'a home';
  const make = form.handleSubmit(({ label, mainsHomeId }) =>
    create.mutate(
      { label, mainsHomeId: mainsHomeId || undefined },
      { onSuccess: () => form.reset({ label: '', mainsHomeId }), onError: refuse },
    ),
  );
  return (
    <section className="border-t pt-5 first:border-t-0 first:pt-0">
      <h2 className="text-lg font-bold">Tokens for scripts</h2>
      <p className="pb-3 text-soft">
        A script sends one as <code>Authorization: Bearer …</code> and can then do what you can. A
        mains sensor gets a token for nothing else. The API is described at{' '}
        <a href="/api/v1/openapi.json" className="underline underline-offset-4">
          /api/v1/openapi.json
        </a>
        .
      </p>
      <form
        onSubmit={(e) => void make(e)}
        noValidate
        className="flex flex-col items-start gap-x-4 gap-y-2 md:flex-row"
      >
        <Field label="Purpose" {...field('label')} />
        <Choice
          label="Permission"
          {...field('mainsHomeId')}
          options={[
            { value: '', label: 'everything I can do' },
            ...homes.map((home) => ({
              value: home.id,
              label: `report mains power of ${home.description.name} only`,
            })),
          ]}
        />
        <Button type="submit" className="md:mt-6" disabled={create.isPending}>
          Create a token
        </Button>
      </form>
      <Refusal message={refusal} />
      {create.data && (
        <p className="mt-3 border-l-4 border-accent pl-3" role="status">
          Copy the token now, we show it only once:{' '}
          <code className="font-bold break-all">{create.data.token}</code>
        </p>
      )}
      <ul className="pt-3">
        {tokens.map((t) => (
          <li key={t.id} className="flex items-center justify-between gap-4 border-t">
            <span>
              {t.label}{' '}
              <span className="text-sm text-soft">
                {t.mainsHomeId !== undefined && `mains power of ${homeName(t.mainsHomeId)} only, `}
                made {shortTime(t.createdAt, ZONE, now)},{' '}
                {t.lastUsedAt ? `last used ${shortTime(t.lastUsedAt, ZONE, now)}` : 'never used'}
              </span>
            </span>
            <Button look="quiet" onClick={() => revoke.mutate(t.id)}>
              Revoke {t.label}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
