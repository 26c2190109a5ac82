import { useChangePassword } from '../../api/account';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Tick } from '../../parts/Tick';

const schema = z.object({
  current: z.string().min(1, 'Enter your current password.'),
  next: z.string().min(8, 'Use eight characters or more.'),
  revokeTokens: z.boolean(),
});
const EMPTY = { current: '', next: '', revokeTokens: false };

/** A new password; other browsers are out, scripts only if asked. */
export function Password() {
  const change = useChangePassword();
  const tell = useNotice();
  const { form, field, refuse, refusal } = useTypedForm(schema, EMPTY, (name) =>
    name === 'password' ? 'next' : name,
  );
  const save = form.handleSubmit((values) =>
    change.mutate(values, {
      onSuccess: () => {
        form.reset(EMPTY);
        tell('Password changed. Other browsers are signed out.');
      },
      onError: refuse,
    }),
  );
  return (
    <section className="border-t pt-5 first:border-t-0 first:pt-0">
      <h2 className="pb-2 text-lg font-bold">Password</h2>
      <form onSubmit={(e) => void save(e)} noValidate className="flex flex-wrap items-start gap-4">
        <Field
          label="Current password"
          type="password"
          autoComplete="current-password"
          {...field('current')}
        />
        <Field
          label="New password, 8 characters or more"
          type="password"
          autoComplete="new-password"
          {...field('next')}
        />
        <Tick className="mt-6" {...field('revokeTokens')}>
          Revoke all tokens, too
        </Tick>
        <Button type="submit" className="mt-6" disabled={change.isPending}>
          Change password
        </Button>
      </form>
      <Refusal message={refusal} />
    </section>
  );
}
