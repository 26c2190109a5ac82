import { useSession } from '../api/account';

/** Whether whoever is signed in helps at a home, and may only see it and log. */
export const useHelper = () => useSession().data?.helper === true;
