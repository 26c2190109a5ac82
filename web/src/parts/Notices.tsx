import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';

interface Notice {
  id: number;
  text: string;
  undo?: () => void;
}

type Tell = (text: string, undo?: () => void) => void;

const NoticeContext = createContext<Tell>(() => undefined);

/** Says what was just done, and how to take it back. */
export const useNotice = () => useContext(NoticeContext);

export function Notices({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<Notice[]>([]);
  const tell = useCallback<Tell>((text, undo) => {
    setNotices((all) => [...all.slice(-2), { id: (all.at(-1)?.id ?? 0) + 1, text, undo }]);
  }, []);
  const drop = (id: number) => setNotices((all) => all.filter((n) => n.id !== id));
  const value = useMemo(() => tell, [tell]);
  return (
    <NoticeContext value={value}>
      <Toast.Provider duration={12_000}>
        {children}
        {notices.map((notice) => (
          <Toast.Root
            key={notice.id}
            onOpenChange={(open) => !open && drop(notice.id)}
            className="flex items-center justify-between gap-4 bg-ink px-4 py-2 text-paper"
          >
            <Toast.Description>{notice.text}</Toast.Description>
            {notice.undo && (
              <Toast.Action
                altText="Undo"
                onClick={notice.undo}
                className="min-h-11 px-2 font-bold underline underline-offset-4"
              >
                Undo
              </Toast.Action>
            )}
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed right-4 bottom-20 left-4 z-40 flex flex-col gap-2 md:bottom-6 md:left-auto md:w-96" />
      </Toast.Provider>
    </NoticeContext>
  );
}
