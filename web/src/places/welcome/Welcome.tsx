import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { useCreateKeeper, useEnterDemo, useSession, useSignIn } from '../../api/account';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Refusal } from '../../parts/Refusal';
import { Waiting } from '../../parts/Waiting';
import { KeptOutages } from '../guard/KeptOutage';

/** The first door: a new keeper, a known one, or the demo. */
export function Welcome() {
  const session = useSession();
  const navigate = useNavigate();
  const demo = useEnterDemo();
  const [isNew, setIsNew] = useState<boolean | null>(null);
  if (!session.data) return <Waiting error={session.error} retry={() => void session.refetch()} />;
  const creating = isNew ?? session.data.firstKeeper;
  const enter = () => void navigate({ to: '/' });
  return (
    <>
      <KeptOutages />
      <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-10 px-5 py-8 md:grid-cols-2 md:gap-20">
        <div>
          <h1 className="text-4xl font-bold">Jolly Tide</h1>
          <p className="pt-4 text-lg">
            Why is your reef’s pH low, and will it have enough oxygen? Jolly Tide works it out from
            your own log.
          </p>
          <Stairs />
          {session.data.demoDoor && (
            <div className="pt-6">
              <Button
                look="plain"
                disabled={demo.isPending}
                onClick={() => demo.mutate(undefined, { onSuccess: enter })}
              >
                Explore the demo
              </Button>
              <p className="pt-2 text-sm text-soft">
                Three invented tanks: a reef above a bakery, one in a school, one on a narrowboat.
              </p>
            </div>
          )}
        </div>
        <div>
          <KeeperForm
            key={String(creating)}
            creating={creating}
            setupCodeNeeded={session.data.setupCodeNeeded}
            done={enter}
          />
          <Button look="quiet" className="mt-4" onClick={() => setIsNew(!creating)}>
            {creating ? 'I have an account' : 'Create an account'}
          </Button>
        </div>
      </main>
    </>
  );
}

// What a name and a password may be, the server says: it alone counts wrong tries.
const schema = z.object({
  name: z.string().trim().min(1, 'Enter your name.'),
  password: z.string().min(1, 'Enter your password.'),
  setupCode: z.string(),
});

function KeeperForm({
  creating,
  setupCodeNeeded,
  done,
}: {
  creating: boolean;
  setupCodeNeeded: boolean;
  done: () => void;
}) {
  const create = useCreateKeeper();
  const signIn = useSignIn();
  const change = creating ? create : signIn;
  const { form, field, refuse, refusal } = useTypedForm(schema, {
    name: '',
    password: '',
    setupCode: '',
  });
  const answered = { onSuccess: done, onError: refuse };
  const submit = form.handleSubmit(({ name, password, setupCode }) => {
    if (creating)
      create.mutate(
        { name, password, setupCode: setupCodeNeeded ? setupCode : undefined },
        answered,
      );
    else signIn.mutate({ name, password }, answered);
  });
  return (
    <form onSubmit={(e) => void submit(e)} className="grid gap-4" noValidate>
      <h2 className="text-2xl font-bold">{creating ? 'Create your account' : 'Sign in'}</h2>
      <Field label="Your name" {...field('name')} autoComplete="username" autoFocus />
      <Field
        label="Password"
        type="password"
        {...field('password')}
        hint={
          creating ? 'Eight characters or more. Your account stays on this machine.' : undefined
        }
        autoComplete={creating ? 'new-password' : 'current-password'}
      />
      {creating && setupCodeNeeded && (
        <Field
          label="Setup code"
          {...field('setupCode')}
          hint="Shown on the console of the machine that runs Jolly Tide."
        />
      )}
      <Refusal message={refusal} />
      <Button look="main" type="submit" disabled={change.isPending}>
        {creating ? 'Create account' : 'Sign in'}
      </Button>
    </form>
  );
}

function Stairs() {
  return (
    <svg viewBox="0 0 300 90" className="mt-6 w-full max-w-sm" aria-hidden>
      <path d="M0 78H100V52H200V16H300V90H0Z" fill="var(--co2-wash)" />
      <path d="M0 78H100V52H200V16H300" fill="none" stroke="var(--co2)" strokeWidth="2.5" />
      <g className="fill-soft" fontSize="12">
        <text x="8" y="70">
          outdoors
        </text>
        <text x="108" y="44">
          room
        </text>
        <text x="208" y="11">
          water
        </text>
      </g>
    </svg>
  );
}
