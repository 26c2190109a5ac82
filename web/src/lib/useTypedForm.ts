import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type DefaultValues, type FieldPath, type FieldValues } from 'react-hook-form';
import type { Problem } from '../api/client';
import type { z } from './zod';

/**
 * A form by its schema: checked as it is sent, with the server's refusals on the fields that they name.
 *
 * @param fieldOf the form's field for a name that the server uses
 */
export function useTypedForm<T extends FieldValues>(
  schema: z.ZodType<T, T>,
  start: NoInfer<T>,
  fieldOf: (server: string) => string = (name) => name,
) {
  const form = useForm<T>({
    resolver: zodResolver(schema),
    defaultValues: start as DefaultValues<T>,
  });
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
  return { form, field, refuse, refusal: form.formState.errors.root?.server?.message };
}
