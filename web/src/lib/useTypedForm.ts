import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
} from 'react-hook-form';
import type { Problem } from '../api/client';
import { keepTyped, readTyped } from './kept';
import type { z } from './zod';

/**
 * A form by its schema: checked as it is sent, with the server's refusals on the fields that they name.
 *
 * @param fieldOf the form's field for a name that the server uses
 * @param keptAs under which its changed fields are kept in this tab until `sent`; nothing is kept without it
 */
export function useTypedForm<T extends FieldValues>(
  schema: z.ZodType<T, T>,
  start: NoInfer<T>,
  fieldOf: (server: string) => string = (name) => name,
  keptAs?: string,
) {
  const form = useForm<T>({
    resolver: zodResolver(schema),
    defaultValues: start as DefaultValues<T>,
  });
  const { setValue, subscribe } = form;
  const [kept] = useState(() =>
    keptAs === undefined ? undefined : (readTyped(keptAs) as Record<string, unknown> | undefined),
  );
  useEffect(() => {
    if (keptAs === undefined) return undefined;
    // Only what was changed: the rest may have been saved anew meanwhile.
    for (const [name, value] of Object.entries(kept ?? {}))
      if (typeof value === typeof start[name])
        setValue(name as FieldPath<T>, value as FieldPathValue<T, FieldPath<T>>, {
          shouldDirty: true,
        });
    return subscribe({
      formState: { values: true },
      callback: ({ values, defaultValues }) => keepTyped(keptAs, changed(values, defaultValues)),
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, where it began
  }, [keptAs, subscribe, setValue]);
  const sent = () => {
    if (keptAs !== undefined) keepTyped(keptAs, undefined);
  };
  const known = (path: string) => (path.split('.')[0] ?? path) in form.getValues();
  /** What names no field of this form is said beneath it. */
  const refuse = (problem: Problem) => {
    const placed = problem.errors.map((e) => ({ path: fieldOf(e.field), message: e.message }));
    placed
      .filter((e) => known(e.path))
      .forEach((error, i) =>
        form.setError(
          error.path as FieldPath<T>,
          { message: error.message },
          { shouldFocus: i === 0 },
        ),
      );
    const rest = placed.filter((e) => !known(e.path)).map((e) => e.message);
    if (placed.length === 0 || rest.length > 0)
      form.setError('root.server', { message: rest.length > 0 ? rest.join(' ') : problem.message });
  };
  /** What a field of the form needs to stand in it. */
  const field = (name: FieldPath<T>) => ({
    ...form.register(name),
    error: form.getFieldState(name, form.formState).error?.message,
  });
  return { form, field, refuse, sent, refusal: form.formState.errors.root?.server?.message };
}

function changed(values: FieldValues, begun: FieldValues = {}): FieldValues | undefined {
  const moved = Object.entries(values).filter(
    ([name, value]) => JSON.stringify(value) !== JSON.stringify(begun[name] as unknown),
  );
  return moved.length === 0 ? undefined : Object.fromEntries(moved);
}
