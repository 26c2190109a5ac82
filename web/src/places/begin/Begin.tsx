import { useNavigate } from '@tanstack/react-router';
import { useState, type SyntheticEvent } from 'react';
import { useWatch } from 'react-hook-form';
import type { Problem } from '../../api/client';
import { useSession } from '../../api/account';
import { useCreateHome, useCreateRoom, useCreateTank, useHomes } from '../../api/homes';
import type { Home, Units } from '../../api/types';
import { Frame } from '../../frame/Frame';
import { useLastTank } from '../../frame/lastTank';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Refusal } from '../../parts/Refusal';
import { Waiting } from '../../parts/Waiting';
import {
  HomeFields,
  NEW_HOME,
  NEW_ROOM,
  RoomFields,
  toHome,
  toRoom,
  useHomeForm,
  useRoomForm,
} from './HomeFields';
import { TankFields } from './TankFields';
import { NEW_TANK, toDescription, type TankForm } from './tankForm';
import { useTankForm } from './useTankForm';

/** A walk from the home to the tank: the first description. */
export function Begin() {
  const homes = useHomes();
  const units = useSession().data?.units;
  return (
    <Frame tank={useLastTank()}>
      {homes.data && units ? (
        <Walk homes={homes.data} units={units} />
      ) : (
        <Waiting error={homes.error} retry={() => void homes.refetch()} />
      )}
    </Frame>
  );
}

const NEW = 'new';

function Walk({ homes, units }: { homes: Home[]; units: Units }) {
  const navigate = useNavigate();
  const createHome = useCreateHome();
  const createRoom = useCreateRoom();
  const createTank = useCreateTank();
  const [homeId, setHomeId] = useState(homes[0]?.id ?? NEW);
  const [roomId, setRoomId] = useState(homes[0]?.rooms[0]?.id ?? NEW);
  const home = useHomeForm(NEW_HOME, 'new-home');
  const room = useRoomForm(NEW_ROOM, 'new-room');
  const currency = useWatch({ control: home.form.control, name: 'currency' });
  const [problem, setProblem] = useState<Problem | null>(null);
  const { form, refuse, sent } = useTankForm(NEW_TANK, 'new-tank');
  const rooms = homes.find((h) => h.id === homeId)?.rooms ?? [];

  // Each part that is made is remembered, so that a refusal further on does not make it twice.
  const make = async (tank: TankForm) => {
    setProblem(null);
    let refused = home.refuse;
    try {
      const inHome =
        homeId === NEW
          ? (await createHome.mutateAsync(toHome(home.form.getValues(), units))).id
          : homeId;
      setHomeId(inHome);
      refused = room.refuse;
      const inRoom =
        roomId === NEW
          ? (
              await createRoom.mutateAsync({
                homeId: inHome,
                room: toRoom(room.form.getValues(), units),
              })
            ).id
          : roomId;
      setRoomId(inRoom);
      refused = refuse;
      const made = await createTank.mutateAsync({
        roomId: inRoom,
        tank: toDescription(tank, units),
      });
      sent();
      home.sent();
      room.sent();
      void navigate({ to: '/tank/$tankId/add-to-log', params: { tankId: made.id } });
    } catch (e) {
      const problem = e as Problem;
      setProblem(problem);
      refused(problem);
    }
  };

  // All three are judged at once, so that nobody mends one only to meet the next.
  const submit = async (e: SyntheticEvent) => {
    e.preventDefault();
    const inOrder = await Promise.all([
      homeId !== NEW || home.form.trigger(),
      roomId !== NEW || room.form.trigger(),
      form.trigger(),
    ]);
    if (inOrder.every(Boolean)) await form.handleSubmit(make)();
  };

  return (
    <form noValidate className="grid max-w-4xl gap-8" onSubmit={(e) => void submit(e)}>
      <div>
        <h1 className="text-2xl font-bold">Describe your tank</h1>
        <p className="text-soft">
          First the home and its air, then the room and its people, then the water. Leave what you
          don’t know: we assume a usual value and say so.
        </p>
      </div>
      <fieldset className="grid gap-4 md:grid-cols-4">
        <legend className="pb-2 text-lg font-bold">The home</legend>
        {homes.length > 0 && (
          <Choice
            label="Which"
            value={homeId}
            className="md:col-span-4"
            onChange={(e) => {
              setHomeId(e.target.value);
              setRoomId(homes.find((h) => h.id === e.target.value)?.rooms[0]?.id ?? NEW);
            }}
            options={[
              ...homes.map((h) => ({ value: h.id, label: h.description.name })),
              { value: NEW, label: 'Another home' },
            ]}
          />
        )}
        {homeId === NEW && <HomeFields field={home.field} units={units} currency={currency} />}
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-6">
        <legend className="pb-2 text-lg font-bold">The room</legend>
        {rooms.length > 0 && (
          <Choice
            label="Which"
            value={roomId}
            className="md:col-span-6"
            onChange={(e) => setRoomId(e.target.value)}
            options={[
              ...rooms.map((r) => ({ value: r.id, label: r.description.name })),
              { value: NEW, label: 'Another room' },
            ]}
          />
        )}
        {roomId === NEW && <RoomFields field={room.field} units={units} />}
      </fieldset>
      <TankFields form={form} units={units} />
      <Refusal message={problem?.message} />
      <Button
        look="main"
        type="submit"
        className="justify-self-start px-10"
        disabled={form.formState.isSubmitting}
      >
        Save this tank
      </Button>
    </form>
  );
}
