import Markdown from 'react-markdown';
import manual from '../../../../docs/handbook.md?raw';

/** The manual as it stands in the project's papers, headings one step lower than the page's own. */
export function Manual() {
  return (
    <div className="grid gap-3">
      <Markdown
        components={{
          h1: () => null,
          h2: ({ children }) => <h2 className="border-t pt-4 text-lg font-bold">{children}</h2>,
          a: ({ children }) => <span>{children}</span>,
        }}
      >
        {manual}
      </Markdown>
    </div>
  );
}
