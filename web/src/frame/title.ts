import { useEffect } from 'react';

const NAME = 'Jolly Tide';
const now = { page: NAME, alarm: null as string | null };

const show = () => {
  document.title = now.alarm ?? now.page;
};

/** What is open, as the browser's tab says it. */
export function usePageTitle(...parts: (string | undefined)[]): void {
  const page = [...parts, NAME].filter(Boolean).join(' · ');
  useEffect(() => {
    now.page = page;
    show();
  }, [page]);
}

/** Something that cannot wait: it stands in the tab whatever page is open. */
export function useAlarmTitle(alarm: string | null): void {
  useEffect(() => {
    now.alarm = alarm;
    show();
    return () => {
      now.alarm = null;
      show();
    };
  }, [alarm]);
}
