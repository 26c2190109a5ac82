import { useState, type SubmitEvent } from 'react';
import { useChangePassword } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';

/** A new password; other browsers are out, scripts only if asked. */
export function Password() {
  const change = useChangePassword();
  const tell = useNotice();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [revokeTokens, setRevokeTokens] = useState(false);
  const submit = (e: SubmitEvent) => {
    e.preventDefault();
    change.mutate(
      { current, next, revokeTokens },
      {
        onSuccess: () => {
          setCurrent('');
          setNext('');
          tell('The new password holds. Other browsers are signed out.');
        },
      },
    );
  };
  const fieldError = change.error?.at('current') ?? change.error?.at('password');
  return (
    <section className="border-t pt-5">
      <h2 className="pb-2 text-lg font-bold">Password</h2>
      <form onSubmit={submit} className="flex flex-wrap items-start gap-4">
        <Field
          label="Present password"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(e) => setCurrent(e.target.value)}
          error={change.error?.at('current')}
        />
        <Field
          label="New password, 8 characters or more"
          type="password"
          autoComplete="new-password"
          value={next}
          onChange={(e) => setNext(e.target.value)}
          error={change.error?.at('password')}
        />
        <label className="mt-7 flex items-center gap-2">
          <input
            type="checkbox"
            checked={revokeTokens}
            onChange={(e) => setRevokeTokens(e.target.checked)}
          />
          revoke all tokens, too
        </label>
        <Button
          type="submit"
          className="mt-6"
          disabled={change.isPending || current === '' || next.length < 8}
        >
          Change it
        </Button>
      </form>
      {change.error && !fieldError && <p role="alert">{change.error.message}</p>}
    </section>
  );
}
