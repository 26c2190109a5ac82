import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import {
  visibleInHtml,
  visibleInJava,
  visibleInMarkdown,
  visibleInProperties,
  visibleInTypeScript,
} from './visible.mjs';

export const ROOT = path.resolve(import.meta.dirname, '../..');

const READERS = {
  '.ts': visibleInTypeScript,
  '.tsx': visibleInTypeScript,
  '.java': visibleInJava,
  '.js': visibleInTypeScript,
  '.md': visibleInMarkdown,
  '.html': visibleInHtml,
  '.properties': visibleInProperties,
};

/** What people see: the pages, the rules of the job, the server's answers, the papers. */
const PLACES = [
  'web/src',
  'web/index.html',
  'core/src/main',
  'server/src/main',
  'README.md',
  'docs',
];
const LEFT_OUT =
  /\.test\.tsx?$|schema\.d\.ts$|\/testing\/|docs\/(openapi|screenshots)|server\/demo\//;

const filesIn = (place) =>
  path.extname(place)
    ? [place]
    : readdirSync(path.join(ROOT, place), { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile())
        .map((entry) => path.relative(ROOT, path.join(entry.parentPath, entry.name)))
        .sort();

/** Every text that a person can see, in the order of the files. */
export const allWords = () =>
  PLACES.flatMap(filesIn)
    .filter((file) => !LEFT_OUT.test(file) && READERS[path.extname(file)])
    .flatMap((file) =>
      READERS[path.extname(file)](file, readFileSync(path.join(ROOT, file), 'utf8')),
    );
