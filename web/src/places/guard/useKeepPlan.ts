import { useEffect } from 'react';
import { api } from '../../api/client';
import { serverNow } from '../../api/clock';
import { keepPlan } from './outageLog';
import { outageQueue } from './outageQueue';

const SOON_MS = 3_000;
const ANEW_MS = 15 * 60_000;

/** Keeps on this device what an outage's clock would show, so that it can begin while the server is gone. */
export function useKeepPlan(homeId: string | undefined) {
  useEffect(() => {
    if (!homeId) return undefined;
    const ask = async () => {
      const path = { params: { path: { homeId } } };
      const answer = await api.GET('/api/v1/homes/{homeId}/outages/plan', path).catch(() => null);
      if (!answer?.data) return;
      const plan = { view: answer.data, at: serverNow().toISOString() };
      keepPlan(homeId, plan);
      outageQueue(homeId).happen({ kind: 'plan came', plan });
    };
    const first = setTimeout(() => void ask(), SOON_MS);
    const timer = setInterval(() => void ask(), ANEW_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [homeId]);
}
