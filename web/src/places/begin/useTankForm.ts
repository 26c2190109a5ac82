import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type FieldPath } from 'react-hook-form';
import type { Problem } from '../../api/client';
import { formPath, tankSchema, type TankForm } from './tankForm';

/** The tank's form, with a way to hang the server's refusals on their fields. */
export function useTankForm(start: TankForm) {
  const form = useForm<TankForm>({ resolver: zodResolver(tankSchema), defaultValues: start });
  const refuse = (problem: Problem) => {
    for (const error of problem.errors) {
      form.setError(formPath(error.field) as FieldPath<TankForm>, { message: error.message });
    }
  };
  return { form, refuse };
}
