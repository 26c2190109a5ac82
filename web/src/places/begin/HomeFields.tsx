import type { Problem } from '../../api/client';
import type { HomeDescription, RoomDescription, Units } from '../../api/types';
import { measure, readAs, typed } from '../../lib/measure';
import { plain, readNumber } from '../../lib/number';
import { Field } from '../../parts/Field';

export interface HomeForm {
  name: string;
  zone: string;
  altitude: string;
  tariff: string;
  currency: string;
  perEuro: string;
}

export interface RoomForm {
  name: string;
  volume: string;
  adults: string;
  children: string;
  pets: string;
  airChanges: string;
}

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

const NOT_A_NUMBER = 'This is not a number.';

export function HomeFields({
  value,
  units,
  onChange,
  problem,
}: {
  value: HomeForm;
  units: Units;
  onChange: (value: HomeForm) => void;
  problem: Problem | null;
}) {
  return (
    <>
      <Field
        label="Name of the home"
        value={value.name}
        onChange={(e) => onChange({ ...value, name: e.target.value })}
      />
      <Field
        label="Time zone"
        value={value.zone}
        list="zones"
        onChange={(e) => onChange({ ...value, zone: e.target.value })}
        error={problem?.at('zone') ?? problem?.at('description.zone')}
      />
      <datalist id="zones">
        {Intl.supportedValuesOf('timeZone').map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      <Field
        label="Above sea level"
        inputMode="decimal"
        unit={measure('length', units).label}
        value={value.altitude}
        onChange={(e) => onChange({ ...value, altitude: e.target.value })}
        error={readNumber(value.altitude) === null ? NOT_A_NUMBER : problem?.at('altitudeM')}
      />
      <Field
        label="A kWh costs"
        inputMode="decimal"
        value={value.tariff}
        onChange={(e) => onChange({ ...value, tariff: e.target.value })}
        error={
          value.tariff !== '' && readNumber(value.tariff) === null
            ? NOT_A_NUMBER
            : problem?.at('tariffPerKWh')
        }
        unit={value.currency}
        hint="Empty: 0.35 euros (assumed)."
      />
      <Field
        label="Money"
        value={value.currency}
        list="currencies"
        onChange={(e) => onChange({ ...value, currency: e.target.value })}
        error={problem?.at('currency')}
      />
      <datalist id="currencies">
        {Intl.supportedValuesOf('currency').map((code) => (
          <option key={code} value={code} />
        ))}
      </datalist>
      {value.currency.trim().toUpperCase() !== 'EUR' && (
        <Field
          label="A euro is about"
          inputMode="decimal"
          unit={value.currency}
          value={value.perEuro}
          onChange={(e) => onChange({ ...value, perEuro: e.target.value })}
          error={
            value.perEuro !== '' && readNumber(value.perEuro) === null
              ? NOT_A_NUMBER
              : problem?.at('perEuro')
          }
          hint="Empty: 1. Assumed prices are in euros."
        />
      )}
    </>
  );
}

export function RoomFields({
  value,
  units,
  onChange,
  problem,
}: {
  value: RoomForm;
  units: Units;
  onChange: (value: RoomForm) => void;
  problem: Problem | null;
}) {
  const person = (key: 'adults' | 'children' | 'pets', label: string) => (
    <Field
      label={label}
      inputMode="numeric"
      value={value[key]}
      onChange={(e) => onChange({ ...value, [key]: e.target.value })}
      error={readNumber(value[key]) === null ? NOT_A_NUMBER : problem?.at(key)}
    />
  );
  return (
    <>
      <Field
        label="Name of the room"
        value={value.name}
        onChange={(e) => onChange({ ...value, name: e.target.value })}
      />
      <Field
        label="Air in it, with open neighbours"
        inputMode="decimal"
        unit={measure('room', units).label}
        value={value.volume}
        onChange={(e) => onChange({ ...value, volume: e.target.value })}
        error={
          value.volume !== '' && readNumber(value.volume) === null
            ? NOT_A_NUMBER
            : problem?.at('roomVolumeM3')
        }
        hint="Length × width × height; empty if not known."
      />
      {person('adults', 'Adults')}
      {person('children', 'Children')}
      {person('pets', 'Pets')}
      <Field
        label="Air changes an hour"
        inputMode="decimal"
        value={value.airChanges}
        onChange={(e) => onChange({ ...value, airChanges: e.target.value })}
        error={
          value.airChanges !== '' && readNumber(value.airChanges) === null
            ? NOT_A_NUMBER
            : problem?.at('airChangesPerH')
        }
        hint="Windows shut. Empty: 0.15 to 0.5 (assumed). Sums, Room finds it from a decay."
      />
    </>
  );
}
