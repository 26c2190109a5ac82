import { useState, type SubmitEvent } from 'react';
import { useEditHome, useEditRoom } from '../../api/hooks';
import type { Home, Units } from '../../api/types';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { HomeFields, homeForm, RoomFields, roomForm, toHome, toRoom } from '../begin/HomeFields';

/** A home and its rooms. */
export function HomeEditor({ home, units }: { home: Home; units: Units }) {
  return (
    <section className="grid gap-4 border-t pt-5">
      <h2 className="text-lg font-bold">{home.description.name}</h2>
      <HomeForm key={home.version} home={home} units={units} />
      {home.rooms.map((room) => (
        <RoomForm key={`${room.id}-${room.version}`} room={room} units={units} />
      ))}
    </section>
  );
}

function HomeForm({ home, units }: { home: Home; units: Units }) {
  const [form, setForm] = useState(homeForm(home.description, units));
  const edit = useEditHome(home.id);
  const tell = useNotice();
  const save = (e: SubmitEvent) => {
    e.preventDefault();
    edit.mutate(
      { version: home.version, description: toHome(form, units) },
      { onSuccess: () => tell('Home saved.') },
    );
  };
  return (
    <form
      onSubmit={save}
      noValidate
      className="grid items-start gap-4 md:grid-cols-[1fr_1fr_7rem_9rem_7rem_auto]"
    >
      <HomeFields value={form} units={units} onChange={setForm} problem={edit.error} />
      <Button type="submit" className="md:mt-6" disabled={edit.isPending}>
        Save
      </Button>
      <Refusal message={edit.error?.message} />
    </form>
  );
}

function RoomForm({ room, units }: { room: Home['rooms'][number]; units: Units }) {
  const [form, setForm] = useState(roomForm(room.description, units));
  const edit = useEditRoom(room.id);
  const tell = useNotice();
  const save = (e: SubmitEvent) => {
    e.preventDefault();
    edit.mutate(
      { version: room.version, description: toRoom(form, units) },
      { onSuccess: () => tell('Room saved.') },
    );
  };
  return (
    <form
      onSubmit={save}
      noValidate
      className="grid items-start gap-4 md:grid-cols-[1fr_1fr_4rem_4rem_4rem_9rem_auto]"
    >
      <RoomFields value={form} units={units} onChange={setForm} problem={edit.error} />
      <Button type="submit" className="md:mt-6" disabled={edit.isPending}>
        Save
      </Button>
      <Refusal message={edit.error?.message} />
    </form>
  );
}

function Refusal({ message }: { message: string | undefined }) {
  return message ? (
    <p role="alert" className="font-semibold md:col-span-full">
      ✕ {message}
    </p>
  ) : null;
}
