import { useState, type SubmitEvent } from 'react';
import { useCreateToken, useRevokeToken, useTokens } from '../../api/hooks';
import type { Home } from '../../api/types';
import { shortTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Personal tokens for scripts. */
export function Tokens({ homes, now }: { homes: Home[]; now: Date }) {
  const tokens = useTokens().data ?? [];
  const create = useCreateToken();
  const revoke = useRevokeToken();
  const [label, setLabel] = useState('');
  const [mainsHomeId, setMainsHomeId] = useState('');
  const homeName = (id: string) =>
    homes.find((home) => home.id === id)?.description.name ?? 'a home';
  const submit = (e: SubmitEvent) => {
    e.preventDefault();
    create.mutate(
      { label, mainsHomeId: mainsHomeId || undefined },
      { onSuccess: () => setLabel('') },
    );
  };
  return (
    <section className="border-t pt-5">
      <h2 className="text-lg font-bold">Tokens for scripts</h2>
      <p className="pb-3 text-soft">
        A script sends one as <code>Authorization: Bearer …</code> and may then do what you may; a
        sensor on the mains gets one that can do nothing else. The API describes itself at{' '}
        <a href="/api/v1/openapi.json" className="underline underline-offset-4">
          /api/v1/openapi.json
        </a>
        .
      </p>
      <form onSubmit={submit} className="flex items-start gap-4">
        <Field
          label="What it is for"
          value={label}
          onChange={(e) => setLabel(e.target.value)}
          error={create.error?.message}
        />
        <Choice
          label="It may"
          value={mainsHomeId}
          onChange={(e) => setMainsHomeId(e.target.value)}
          options={[
            { value: '', label: 'do what I may' },
            ...homes.map((home) => ({
              value: home.id,
              label: `only tell of the mains of ${home.description.name}`,
            })),
          ]}
        />
        <Button type="submit" className="mt-6" disabled={create.isPending || label.trim() === ''}>
          Make a token
        </Button>
      </form>
      {create.data && (
        <p className="mt-3 border-l-4 border-accent pl-3" role="status">
          Copy it now, it is shown this once:{' '}
          <code className="font-bold break-all">{create.data.token}</code>
        </p>
      )}
      <ul className="pt-3">
        {tokens.map((t) => (
          <li key={t.id} className="flex items-center justify-between gap-4 border-t">
            <span>
              {t.label}{' '}
              <span className="text-sm text-soft">
                {t.mainsHomeId !== undefined && `only the mains of ${homeName(t.mainsHomeId)}, `}
                made {shortTime(t.createdAt, ZONE, now)},{' '}
                {t.lastUsedAt ? `last used ${shortTime(t.lastUsedAt, ZONE, now)}` : 'never used'}
              </span>
            </span>
            <Button look="quiet" onClick={() => revoke.mutate(t.id)}>
              revoke {t.label}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
