import { useRef, useState } from 'react';
import { type Part, SharedDrawing } from '../drawings/SharedDrawing';
import { download } from '../lib/file';
import { toPng, toSvg } from '../lib/picture';
import { sharedPage, type Shared } from '../lib/sharedPage';
import { Button } from './Button';
import { Field } from './Field';
import { useNotice } from './Notices';
import { Sheet } from './Sheet';

const MOST_LETTERS = 80;

/** Offers something to others, and shows beforehand what of it they would see. */
export function ShareButton({ shared, parts }: { shared: Shared; parts: readonly Part[] }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        Share
      </Button>
      <Sheet
        open={open}
        onOpenChange={setOpen}
        title="Share"
        about="The shared page holds only what you see here. Place, names and notes are left out. You write the heading."
      >
        {open && <Offer shared={shared} parts={parts} />}
      </Sheet>
    </>
  );
}

function Offer({ shared, parts }: { shared: Shared; parts: readonly Part[] }) {
  const tell = useNotice();
  const svg = useRef<SVGSVGElement>(null);
  const [heading, setHeading] = useState(shared.heading);
  const said = { ...shared, heading: heading.trim() || shared.heading };
  const name = said.heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  const hand = (ending: string, make: (drawing: SVGSVGElement) => Promise<Blob>) => {
    if (!svg.current) return;
    make(svg.current)
      .then((blob) => download(blob, `${name || 'shared'}.${ending}`))
      .catch(() => tell('We couldn’t make the file.'));
  };
  const page = (drawing: SVGSVGElement) =>
    sharedPage(said, [...drawing.querySelectorAll<SVGSVGElement>(':scope > g > svg')]);
  return (
    <div className="grid gap-4">
      <Field
        label="Heading"
        value={heading}
        maxLength={MOST_LETTERS}
        onChange={(e) => setHeading(e.target.value)}
      />
      <div className="flex flex-wrap gap-3">
        <Button look="main" onClick={() => hand('html', page)}>
          One page
        </Button>
        <Button onClick={() => hand('png', toPng)}>PNG</Button>
        <Button onClick={() => hand('svg', toSvg)}>SVG</Button>
      </div>
      <div className="border border-hairline">
        <SharedDrawing shared={said} parts={parts} ref={svg} />
      </div>
    </div>
  );
}
