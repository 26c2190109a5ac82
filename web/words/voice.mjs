import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './files.mjs';

/** Phrases of the first voice, each in the context in which it was wrong, with what is said now. */
export const OLD_VOICE = [
  [/\bforg(et|otten)\b/i, 'remove, delete'],
  [/\btak(e|en) (it |them |all of it )?(out|back|away)\b/i, 'remove, undo'],
  [/\bnote it\b|\bis noted\b|\bwas noted\b|\bnoted;|^noted\b/i, 'add, log'],
  [/\bnobody (noted|knows|said|measured)\b/i, 'name the actor'],
  [/\bsomebody\b|\bwhoever\b/i, 'someone, anyone'],
  [/\bcannot be (said|told|read|made)\b/i, 'we can’t …'],
  [
    /\bcannot tell\b|\bwould tell\b|\bto tell\b|\btells most\b/i,
    'we can’t tell yet; measurement that would help most',
  ],
  [/\bstands? (on the tank|on it|against|behind)\b/i, 'is active'],
  [/\bput(s)? (it )?on (it|the tank)\b|\bput it in\b/i, 'try, use'],
  [/\bbring in\b/i, 'import, add'],
  [/\bmend(ed|s)?\b/i, 'correct, fix'],
  [/\bdescribed anew\b|\banew\b/i, 'again'],
  [
    /\bso it has been\b|\bdid what it could\b|\bcame of it\b/i,
    'this is usual; it worked as expected',
  ],
  [/\bof what is planned\b|\bnothing is wrong with\b/i, 'delivers … of plan'],
  [/\bleaves? open\b|\bis behind it\b/i, 'we can’t tell yet'],
  [/\bmind:|^mind\b/i, 'Caution, or a command'],
  [/\bbeside the (day|log|same)\b/i, 'compared with'],
  [/\blook (whether|that|at the line)\b|\bsee that\b/i, 'check'],
  [/\bgive or take\b/i, '±'],
  [/\bnot so\b|\bwould have it\b/i, 'say it plainly'],
  [/\bfor its trouble\b|\bby a twentieth\b/i, 'most useful first'],
  [/\bmust be ordered\b|\bneed be\b/i, 'order …'],
  [/\bcall(ed)? (it )?off\b/i, 'cancel'],
  [/\blooks? after\b|\blooked after\b|\btake it up\b/i, 'upkeep task; add'],
  [/\bone of both\b|\bof one of both\b/i, 'one side'],
  [
    /\b(waits?|stays?|comes?|goes) on (of|from) itself\b|\blet go\b|\bmay dose\b/i,
    'say what happens',
  ],
  [/\b[iI] (will|have|am)\b(?! done this| removed)/, 'we'],
];

/** Words that the glossary gives another name: its last column. */
export const otherwise = () =>
  readFileSync(path.join(ROOT, 'docs/glossary.md'), 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('|') && !line.startsWith('|---'))
    .slice(1)
    .flatMap((line) => {
      const cells = line.split('|').map((cell) => cell.trim());
      return (cells[5] ?? '')
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean)
        .map((word) => [new RegExp(`(?<![\\w-])${word}(?![\\w-])`, 'i'), cells[1]]);
    });

const MOST_WORDS = 20;
const MOST_WORDS_ON_OUTAGE = 12;
const OUTAGE =
  /guard\/(Outage|KeptOutage|useOutage|outage)|frame\/OutageBar|core\/outage\/Plan\.|card\.html/;

/** Sentences that are longer than a person says them. */
export const longSentences = ({ file, text }) => {
  const most = OUTAGE.test(file) ? MOST_WORDS_ON_OUTAGE : MOST_WORDS;
  return text
    .split(/(?<=[.!?…]”?)\s+|\s·\s|;\s/)
    .map((sentence) => sentence.split(/\s+/).filter((w) => /[\p{L}\p{N}{]/u.test(w)))
    .filter((words) => words.length > most)
    .map((words) => words.join(' '));
};

/**
 * What may stay, and why: part of a file's name and of the text.
 *
 * @type {[where: string, text: string][]}
 */
export const REASONED = [
  // Citations and formulas are read by those who check them, behind “How is this worked out?”.
  ['GasBalanceScreen', 'Clarke & Johnston 1999'],
  ['GasBalanceScreen', 'Wanninkhof 2014'],
  // A keeper's own answer.
  ['Welcome', 'I have an account'],
];
