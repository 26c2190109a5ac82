import { useTypedForm } from '../../lib/useTypedForm';
import { formPath, tankSchema, type TankForm } from './tankForm';

/** The tank's form, with the server's refusals on its fields. */
export const useTankForm = (start: TankForm, keptAs: string) =>
  useTypedForm(tankSchema, start, formPath, keptAs);
