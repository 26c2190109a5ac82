import { describe, expect, it } from 'vitest';
import { allWords } from './files.mjs';
import {
  visibleInHtml,
  visibleInJava,
  visibleInMarkdown,
  visibleInTypeScript,
} from './visible.mjs';
import { longSentences, OLD_VOICE, otherwise, REASONED } from './voice.mjs';

const ALL = allWords();

/** Papers for those who build it have sentences of their own. */
const spoken = () =>
  ALL.filter(({ file }) => !file.startsWith('docs/') || file === 'docs/handbook.md');
const excepted = ({ file, text }) =>
  REASONED.some(([where, what]) => file.includes(where) && text.includes(what));
const at = ({ file, line }) => `${file}:${line}`;

describe('what a keeper reads', () => {
  it('has no phrase of the old voice', () => {
    const found = spoken()
      .filter((words) => !excepted(words))
      .flatMap((words) =>
        OLD_VOICE.filter(([phrase]) => phrase.test(words.text)).map(
          ([phrase, instead]) =>
            `${at(words)} “${words.text.match(phrase)[0]}”; rather: ${instead}`,
        ),
      );
    expect(found).toEqual([]);
  });

  it('calls a thing as the glossary does', () => {
    const terms = otherwise();
    expect(terms.length).toBeGreaterThan(30);
    const found = spoken()
      .filter((words) => !excepted(words))
      .flatMap((words) =>
        terms
          .filter(([word]) => word.test(words.text))
          .map(([word, term]) => `${at(words)} “${words.text.match(word)[0]}” is: ${term}`),
      );
    expect(found).toEqual([]);
  });

  it('has sentences that can be said, shorter ones on Outage', () => {
    const found = spoken()
      .filter((words) => !excepted(words))
      .flatMap((words) => longSentences(words).map((sentence) => `${at(words)} ${sentence}`));
    expect(found).toEqual([]);
  });

  it('excepts nothing that is not there', () => {
    const gone = REASONED.filter(
      ([where, what]) => !ALL.some((w) => w.file.includes(where) && w.text.includes(what)),
    );
    expect(gone).toEqual([]);
  });
});

describe('texts are found', () => {
  const texts = (found) => found.map((f) => f.text);

  it('in TypeScript: between tags, in labels and templates, not in class names or keys', () => {
    const source = `
      import x from './a b';
      const a = <p className="text-lg font-bold">The <em>daily low</em> is {low}.</p>;
      const b = <Field label="pH" hint="Measured before lights-on." id="some thing" />;
      const c = kind === 'TWO WORDS' ? \`Empty in \${days} days.\` : 'flex items-center gap-2';
      const d = { queryKey: 'not a text', title: 'Add reading' };`;
    expect(texts(visibleInTypeScript('a.tsx', source))).toEqual([
      'The daily low is {}.',
      'pH',
      'Measured before lights-on.',
      'Empty in {} days.',
      'Add reading',
    ]);
  });

  it('in Java: joined where they are joined, without queries, logs and faults', () => {
    const source = `
      class A {
        String a = "At pH %.2f the water" + " has " + ppm + " ppm of CO2.";
        @Query("select t from Tank t where t.id = :id") Tank b();
        void c() { log.warn("no such file here"); throw new IllegalStateException("never seen by anyone"); }
        String d = dark ? "No recent reading." : "Check the probe first.";
      }`;
    expect(texts(visibleInJava('A.java', source))).toEqual([
      'At pH {} the water has {} ppm of CO2.',
      'No recent reading.',
      'Check the probe first.',
    ]);
  });

  it('in Markdown and pages, without code', () => {
    const paper =
      '# Two commands\n\nOpen the page.\nThen sign in.\n\n```\nnot this one\n```\n\n| a cell | `code` |\n';
    expect(texts(visibleInMarkdown('a.md', paper))).toEqual([
      'Two commands',
      'Open the page. Then sign in.',
      'a cell',
    ]);
    const page =
      "<style>p { color: red }</style><p>Power is out</p><script>say('Aerate at once.')</script>";
    expect(texts(visibleInHtml('a.html', page))).toEqual(['Power is out', 'Aerate at once.']);
  });

  it('of every kind of file', () => {
    const words = ALL;
    expect(words.length).toBeGreaterThan(3000);
    for (const kind of ['.tsx', '.ts', '.java', '.md', '.html', '.properties']) {
      expect(
        words.some((w) => w.file.endsWith(kind)),
        kind,
      ).toBe(true);
    }
  });
});
