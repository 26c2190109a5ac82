import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { Problem } from '../../api/client';
import { useEditTank } from '../../api/homes';
import { useLogSpan } from '../../api/log';
import type { Tank } from '../../api/types';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';
import { RemoveButton } from '../settings/RemoveButton';
import { SinceSheet } from './SinceSheet';
import { TankFields } from './TankFields';
import { toDescription, toForm, touchesTheTank, type TankForm } from './tankForm';
import { useTankForm } from './useTankForm';
import { VersionSheet } from './VersionSheet';

/** The description of a tank, to change. */
export function Description() {
  const { tank, units } = useAtTank();
  const edit = useEditTank(tank.id);
  const logged = useLogSpan(tank.id).data?.from !== undefined;
  const tell = useNotice();
  const navigate = useNavigate();
  const [version, setVersion] = useState(tank.version);
  const [other, setOther] = useState<{ current: Tank; mine: TankForm } | null>(null);
  const { form, refuse, sent } = useTankForm(
    toForm(tank.description, units),
    `description-${tank.id}`,
  );

  const [asked, setAsked] = useState<TankForm | null>(null);

  /** What makes another tank of it when it changes is asked about, once there is a log to be of one or the other. */
  const submit = (values: TankForm) => {
    if (logged && touchesTheTank(form.formState.dirtyFields)) setAsked(values);
    else void save(values, version);
  };

  const save = (values: TankForm, onVersion: number, since?: string) =>
    edit
      .mutateAsync({ version: onVersion, description: toDescription(values, units), since })
      .then((saved) => {
        setVersion(saved.version);
        setOther(null);
        setAsked(null);
        form.reset(toForm(saved.description, units));
        sent();
        const before = tank.description;
        tell(
          'Description saved.',
          () =>
            void edit
              .mutateAsync({ version: saved.version, description: before })
              .then((undone) => {
                setVersion(undone.version);
                form.reset(toForm(undone.description, units));
              }),
        );
      })
      .catch((problem: unknown) => {
        if (!(problem instanceof Problem)) throw problem;
        if (problem.status === 409)
          setOther({ current: problem.extra.current as Tank, mine: values });
        else {
          if (!problem.at('since')) setAsked(null);
          refuse(problem);
        }
      });

  return (
    <form
      noValidate
      className="grid max-w-4xl gap-8"
      onSubmit={(e) => void form.handleSubmit(submit)(e)}
    >
      <h1 className="text-2xl font-bold">Describe {tank.description.name}</h1>
      <TankFields form={form} units={units} />
      {edit.error && edit.error.status !== 409 && (
        <p role="alert" className="font-semibold">
          ✕ {edit.error.message}
        </p>
      )}
      <div className="sticky bottom-14 flex gap-3 border-t bg-paper py-3 md:bottom-0">
        <Button look="main" type="submit" className="px-10" disabled={edit.isPending}>
          Save
        </Button>
        <Button
          disabled={!form.formState.isDirty}
          onClick={() => form.reset(toForm(tank.description, units))}
        >
          Cancel
        </Button>
      </div>
      <div>
        <RemoveButton
          what="tanks"
          id={tank.id}
          name={tank.description.name}
          then={() => void navigate({ to: '/settings', search: { part: 'homes' } })}
        />
      </div>
      {asked && (
        <SinceSheet
          refusal={edit.error?.at('since')}
          pending={edit.isPending}
          since={(at) => void save(asked, version, at)}
          always={() => void save(asked, version)}
          close={() => {
            setAsked(null);
            edit.reset();
          }}
        />
      )}
      {other && (
        <VersionSheet
          theirs={toForm(other.current.description, units)}
          mine={other.mine}
          keepMine={() => void save(other.mine, other.current.version)}
          takeTheirs={() => {
            setVersion(other.current.version);
            form.reset(toForm(other.current.description, units));
            setOther(null);
          }}
          close={() => setOther(null)}
        />
      )}
    </form>
  );
}
