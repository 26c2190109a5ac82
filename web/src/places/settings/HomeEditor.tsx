import { useWatch } from 'react-hook-form';
import { useEditHome, useEditRoom } from '../../api/homes';
import type { Home, Units } from '../../api/types';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import {
  HomeFields,
  homeForm,
  RoomFields,
  roomForm,
  toHome,
  toRoom,
  useHomeForm,
  useRoomForm,
} from '../begin/HomeFields';
import { RemoveButton } from './RemoveButton';

/** A home and its rooms. */
export function HomeEditor({ home, units }: { home: Home; units: Units }) {
  return (
    <section className="grid gap-4 border-t pt-5 first:border-t-0 first:pt-0">
      <h2 className="text-lg font-bold">{home.description.name}</h2>
      <HomeForm key={home.version} home={home} units={units} />
      {home.rooms.map((room) => (
        <RoomForm key={`${room.id}-${room.version}`} room={room} units={units} />
      ))}
      <div className="flex flex-wrap gap-x-6">
        <RemoveButton what="homes" id={home.id} name={home.description.name} />
        {home.rooms.map((room) => (
          <RemoveButton key={room.id} what="rooms" id={room.id} name={room.description.name} />
        ))}
      </div>
    </section>
  );
}

function HomeForm({ home, units }: { home: Home; units: Units }) {
  const { form, field, refuse, sent, refusal } = useHomeForm(
    homeForm(home.description, units),
    `home-${home.id}`,
  );
  const currency = useWatch({ control: form.control, name: 'currency' });
  const edit = useEditHome(home.id);
  const tell = useNotice();
  const save = form.handleSubmit((values) =>
    edit.mutate(
      { version: home.version, description: toHome(values, units) },
      {
        onSuccess: () => {
          sent();
          tell('Home saved.');
        },
        onError: refuse,
      },
    ),
  );
  return (
    <form
      onSubmit={(e) => void save(e)}
      noValidate
      className="grid items-start gap-4 md:grid-cols-[1fr_1fr_7rem_9rem_7rem_auto]"
    >
      <HomeFields field={field} units={units} currency={currency} />
      <Button type="submit" className="md:mt-6" disabled={edit.isPending}>
        Save
      </Button>
      <Refusal message={refusal} className="md:col-span-full" />
    </form>
  );
}

function RoomForm({ room, units }: { room: Home['rooms'][number]; units: Units }) {
  const { form, field, refuse, sent, refusal } = useRoomForm(
    roomForm(room.description, units),
    `room-${room.id}`,
  );
  const edit = useEditRoom(room.id);
  const tell = useNotice();
  const save = form.handleSubmit((values) =>
    edit.mutate(
      { version: room.version, description: toRoom(values, units) },
      {
        onSuccess: () => {
          sent();
          tell('Room saved.');
        },
        onError: refuse,
      },
    ),
  );
  return (
    <form
      onSubmit={(e) => void save(e)}
      noValidate
      className="grid items-start gap-4 md:grid-cols-[1fr_1fr_4rem_4rem_4rem_9rem_auto]"
    >
      <RoomFields field={field} units={units} />
      <Button type="submit" className="md:mt-6" disabled={edit.isPending}>
        Save
      </Button>
      <Refusal message={refusal} className="md:col-span-full" />
    </form>
  );
}
