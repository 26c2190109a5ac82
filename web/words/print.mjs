import { allWords } from './files.mjs';

/** Prints every text that a person can see with its file and line, or, with `count`, how many there are. */
const words = allWords();
if (process.argv.includes('count')) {
  const total = words.reduce((n, w) => n + w.text.split(' ').length, 0);
  console.log(`${words.length} texts, ${total} words`);
} else {
  let file = '';
  for (const w of words) {
    if (w.file !== file) console.log(`\n${w.file}`);
    file = w.file;
    console.log(`${String(w.line).padStart(5)}  ${w.text}`);
  }
}
