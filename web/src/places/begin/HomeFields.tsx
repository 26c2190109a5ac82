import type { FieldValues } from 'react-hook-form';
import type { HomeDescription, RoomDescription, Units } from '../../api/types';
import { number, numberOrNothing, words } from '../../lib/checks';
import { measure, readAs, typed } from '../../lib/measure';
import { plain, readNumber } from '../../lib/number';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Field } from '../../parts/Field';

const homeSchema = z.object({
  name: words('Enter a name for the home.', 80),
  zone: z.string(),
  altitude: number('The height'),
  tariff: numberOrNothing('The price'),
  currency: z.string(),
  perEuro: numberOrNothing('This'),
});
export type HomeForm = z.infer<typeof homeSchema>;
const HOME_ASKED_AS: Record<string, string> = { altitudeM: 'altitude', tariffPerKWh: 'tariff' };

const roomSchema = z.object({
  name: words('Enter a name for the room.', 80),
  volume: numberOrNothing('The volume'),
  adults: number('This'),
  children: number('This'),
  pets: number('This'),
  airChanges: numberOrNothing('This'),
});
export type RoomForm = z.infer<typeof roomSchema>;
const ROOM_ASKED_AS: Record<string, string> = {
  roomVolumeM3: 'volume',
  airChangesPerH: 'airChanges',
};

export const NEW_HOME: HomeForm = {
  name: 'Home',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  altitude: '0',
  tariff: '',
  currency: 'EUR',
  perEuro: '',
};
export const NEW_ROOM: RoomForm = {
  name: 'Living room',
  volume: '',
  adults: '1',
  children: '0',
  pets: '0',
  airChanges: '',
};

export const homeForm = (h: HomeDescription, units: Units): HomeForm => ({
  name: h.name,
  zone: h.zone,
  altitude: typed(h.altitudeM, 'length', units),
  tariff: h.tariffPerKWh === undefined ? '' : plain(h.tariffPerKWh),
  currency: h.currency ?? 'EUR',
  perEuro: h.perEuro === undefined || h.perEuro === 1 ? '' : plain(h.perEuro, 4),
});

export const roomForm = (r: RoomDescription, units: Units): RoomForm => ({
  name: r.name,
  volume: typed(r.volumeM3, 'room', units),
  adults: String(r.adults),
  children: String(r.children),
  pets: String(r.pets),
  airChanges: r.airChangesPerH === undefined ? '' : plain(r.airChangesPerH),
});

const count = (text: string) => Math.trunc(readNumber(text) ?? 0);

export const toHome = (f: HomeForm, units: Units): HomeDescription => ({
  name: f.name,
  zone: f.zone,
  altitudeM: readAs(f.altitude, 'length', units) ?? 0,
  tariffPerKWh: readNumber(f.tariff) ?? undefined,
  currency: f.currency,
  perEuro: readNumber(f.perEuro) ?? undefined,
});

export const toRoom = (f: RoomForm, units: Units): RoomDescription => ({
  name: f.name,
  volumeM3: readAs(f.volume, 'room', units),
  adults: count(f.adults),
  children: count(f.children),
  pets: count(f.pets),
  airChangesPerH: readNumber(f.airChanges) ?? undefined,
});

const bare = (name: string) => name.replace(/^description\./, '');

/** A home's form, with the server's refusals on its fields. */
export const useHomeForm = (start: HomeForm, keptAs: string) =>
  useTypedForm(homeSchema, start, (name) => HOME_ASKED_AS[bare(name)] ?? bare(name), keptAs);

export const useRoomForm = (start: RoomForm, keptAs: string) =>
  useTypedForm(roomSchema, start, (name) => ROOM_ASKED_AS[bare(name)] ?? bare(name), keptAs);

/** What {@link useTypedForm} gives for the fields of a form. */
type FieldOf<T extends FieldValues> = ReturnType<typeof useTypedForm<T>>['field'];

export function HomeFields({
  field,
  units,
  currency,
}: {
  field: FieldOf<HomeForm>;
  units: Units;
  currency: string;
}) {
  return (
    <>
      <Field label="Name of the home" {...field('name')} />
      <Field label="Time zone" list="zones" {...field('zone')} />
      <datalist id="zones">
        {Intl.supportedValuesOf('timeZone').map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      <Field
        label="Above sea level"
        inputMode="decimal"
        unit={measure('length', units).label}
        {...field('altitude')}
      />
      <Field
        label="Price of a kWh"
        inputMode="decimal"
        unit={currency}
        hint="Empty: 0.35 euros (assumed)."
        {...field('tariff')}
      />
      <Field label="Currency" list="currencies" {...field('currency')} />
      <datalist id="currencies">
        {Intl.supportedValuesOf('currency').map((code) => (
          <option key={code} value={code} />
        ))}
      </datalist>
      {currency.trim().toUpperCase() !== 'EUR' && (
        <Field
          label="One euro is about"
          inputMode="decimal"
          unit={currency}
          hint="Empty: 1. Assumed prices are in euros."
          {...field('perEuro')}
        />
      )}
    </>
  );
}

export function RoomFields({ field, units }: { field: FieldOf<RoomForm>; units: Units }) {
  return (
    <>
      <Field label="Name of the room" {...field('name')} />
      <Field
        label="Air volume, with open neighbouring rooms"
        inputMode="decimal"
        unit={measure('room', units).label}
        hint="Length × width × height. Leave empty if unknown."
        {...field('volume')}
      />
      <Field label="Adults" inputMode="numeric" {...field('adults')} />
      <Field label="Children" inputMode="numeric" {...field('children')} />
      <Field label="Pets" inputMode="numeric" {...field('pets')} />
      <Field
        label="Air changes an hour"
        inputMode="decimal"
        hint="With windows shut. Empty: 0.15–0.5 (assumed). Calculators → Room finds the value from a CO2 decay."
        {...field('airChanges')}
      />
    </>
  );
}
