import ts from 'typescript';

/**
 * A text that a person can see. What is filled in at run time is written as {}.
 *
 * @typedef {{ file: string, line: number, text: string }} Visible
 */

const FILLED_IN = '{}';

/** Attributes and fields that only a browser, a style sheet or the router reads. */
const UNSEEN = new Set(
  (
    'className class id key to href src type d path transform name htmlFor autoComplete inputMode role method ' +
    'textAnchor fill stroke strokeLinecap dominantBaseline rel target queryKey keptAs style strokeDasharray ' +
    'viewBox fontSize fontWeight pattern accept side align'
  ).split(' '),
);

const CLASS_NAME =
  /^-?([a-z-]+:|\[|\*:)*!?-?(m|p|gap|w|h|text|bg|border|flex|grid|items|justify|min|max|font|rounded|absolute|relative|fixed|sticky|inset|top|bottom|left|right|z|overflow|underline|leading|tracking|sr|hidden|block|inline|col|row|space|divide|ring|outline|cursor|opacity|shrink|grow|truncate|whitespace|self|place|order|tabular|touch|select|decoration|list|object|fill|stroke|size|pointer|accent|shadow|align|break|table|transition|animate|appearance|group|peer|content|basis|[mp][xytblr])(-|\[|\/|$)/;

const looksLikeClasses = (text) => {
  const words = text.trim().split(/\s+/);
  const classes = words.filter((w) => CLASS_NAME.test(w) || w === FILLED_IN).length;
  return classes / words.length > 0.6 && /[-:[]/.test(text);
};

/** Whether a string of code is said to a person: several words, or one that begins like a label. */
const isSaid = (text) =>
  /[\p{L}]{2}/u.test(text) &&
  !/^[./#@<]|^https?:|^[\w-]+\/[\w+.-]+$|^var\(|^(translate|rotate|scale|matrix|url|calc)\(|^M ?[\d{]/.test(
    text,
  ) &&
  (/\p{L}{2,}[.,;:!?”)]?\s+[\p{L}{(“]|[}”)]\s+\p{L}{2}/u.test(text) ||
    /^[A-Z][a-z]+[.?!…]?$/.test(text));

const tidy = (text) => text.replace(/\s+/g, ' ').trim();

const INLINE = new Set([
  'strong',
  'em',
  'b',
  'i',
  'span',
  'a',
  'Link',
  'sub',
  'sup',
  'code',
  'time',
  'abbr',
  'tspan',
]);

/** @returns {Visible[]} of a file of TypeScript, with or without JSX */
export function visibleInTypeScript(file, source) {
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('.ts') ? ts.ScriptKind.TS : ts.ScriptKind.TSX,
  );
  const found = [];
  const add = (node, text) => {
    const said = tidy(text);
    const line = tree.getLineAndCharacterOfPosition(node.getStart(tree)).line + 1;
    if (/\p{L}{2}/u.test(said.replaceAll(FILLED_IN, ''))) found.push({ file, line, text: said });
  };
  const ofTemplate = (node) =>
    node.head.text + node.templateSpans.map((s) => FILLED_IN + s.literal.text).join('');

  /** Text between tags, with the tags that stand in a line of text taken as its words. */
  const ofChildren = (parent) => {
    let text = '';
    let first;
    const flush = () => {
      if (first) add(first, text);
      text = '';
      first = undefined;
    };
    const tagOf = (node) =>
      ts.isJsxElement(node) ? node.openingElement.tagName.getText(tree) : undefined;
    const inLine = (node) =>
      INLINE.has(tagOf(node) ?? '') &&
      !node.children.some((c) => tagOf(c) && !INLINE.has(tagOf(c)));
    const walk = (children) => {
      for (const child of children) {
        if (ts.isJsxText(child)) {
          if (child.text.trim()) first ??= child;
          text += child.text;
        } else if (ts.isJsxExpression(child)) {
          const e = child.expression;
          if (e && ts.isStringLiteralLike(e)) text += e.text;
          else if (e) {
            text += FILLED_IN;
            visit(e);
          }
        } else if (inLine(child)) {
          visit(child.openingElement.attributes);
          walk(child.children);
        } else {
          flush();
          visit(child);
        }
      }
    };
    walk(parent.children);
    flush();
  };

  const unseen = (node) => {
    const parent = node.parent;
    if (
      ts.isImportDeclaration(parent) ||
      ts.isExportDeclaration(parent) ||
      ts.isLiteralTypeNode(parent)
    )
      return true;
    if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent)) return true;
    if (ts.isBinaryExpression(parent) && /[!=]==?|\bin\b/.test(parent.operatorToken.getText(tree)))
      return true;
    if (ts.isPropertyAssignment(parent) && parent.name === node) return true;
    return false;
  };

  const visit = (node) => {
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      if (ts.isJsxElement(node)) visit(node.openingElement.attributes);
      ofChildren(node);
      return;
    }
    if (ts.isJsxAttribute(node) && UNSEEN.has(node.name.getText(tree))) return;
    if (
      ts.isPropertyAssignment(node) &&
      UNSEEN.has(node.name.getText(tree)) &&
      node.name.getText(tree) !== 'name'
    )
      return;
    if (ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && node.initializer && ts.isStringLiteral(node.initializer)) {
      if (
        /^(aria-label|label|title|hint|about|placeholder|alt|caption|heading|unit)$/.test(
          node.name.getText(tree),
        )
      )
        add(node, node.initializer.text);
      else if (isSaid(node.initializer.text) && !looksLikeClasses(node.initializer.text))
        add(node, node.initializer.text);
      return;
    }
    if (ts.isTemplateExpression(node)) {
      const text = ofTemplate(node);
      if (!unseen(node) && isSaid(text) && !looksLikeClasses(text)) add(node, text);
    } else if (ts.isStringLiteralLike(node)) {
      if (!unseen(node) && isSaid(node.text) && !looksLikeClasses(node.text)) add(node, node.text);
      return;
    }
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}

const TOKEN =
  /\/\*[^]*?\*\/|\/\/[^\n]*|"""\n?([^]*?)"""|"((?:[^"\\\n]|\\.)*)"|'(?:[^'\\]|\\.)+'|[\w$.]+|->|&&|\|\||[^\s\w]/g;
const ENDS = new Set([',', ';', '{', '}', '?', ':', '->', '&&', '||', '=']);

/** Calls and annotations whose text no keeper reads: logs, queries, faults of the program. */
const UNSEEN_CALL =
  /^(log|LOG|LOGGER|logger)\.\w+$|^(IllegalStateException|IllegalArgumentException|AssertionError|UncheckedIOException|Query|RequestMapping|GetMapping|PostMapping|PutMapping|DeleteMapping|Value|Column|Table|JoinColumn|Pattern|Pattern\.compile|SuppressWarnings|ConditionalOnProperty|ofPattern|DateTimeFormatter\.ofPattern|createNativeQuery|createQuery|prepareStatement|sql|jdbc\.\w+|entities\.create\w*|split|replaceAll|matches|getResource|Scheduled|JsonProperty|Qualifier|Component|Order)$/;
const QUERY =
  /^\s*(select|insert|update|delete|from|where|create|alter|and|order by|join|on duplicate)\b.*[=*(]|^(select|from|delete|insert|update) \w/i;

/** @returns {Visible[]} of a file of Java: string literals, joined where + joins them */
export function visibleInJava(file, source) {
  const found = [];
  let line = 1;
  let at = 0;
  const open = [{ call: '', text: undefined, line: 0, plus: false }];
  const end = (level) => {
    if (level.text !== undefined && isSaid(level.text) && !QUERY.test(level.text) && !unseenAbove())
      found.push({ file, line: level.line, text: tidy(level.text) });
    level.text = undefined;
    level.plus = false;
  };
  const unseenAbove = () => open.some((l) => UNSEEN_CALL.test(l.call));
  let last = '';
  for (const match of source.matchAll(TOKEN)) {
    line += source.slice(at, match.index).split('\n').length - 1;
    at = match.index;
    const token = match[0];
    if (token.startsWith('/*') || token.startsWith('//')) continue;
    const level = open.at(-1);
    const literal = match[1] ?? match[2];
    if (literal !== undefined) {
      const text = literal
        .replace(/\\n/g, ' ')
        .replace(/\\(["'\\])/g, '$1')
        .replace(/%%/g, '％')
        .replace(/%[-+,0-9.]*[sdf]/g, FILLED_IN)
        .replace(/％/g, '%');
      if (level.text === undefined) {
        level.line = line;
        level.text = (level.plus ? FILLED_IN : '') + text;
      } else level.text += text;
      level.plus = false;
    } else if (token === '(') {
      open.push({ call: last, text: undefined, line: 0, plus: false });
    } else if (token === ')') {
      end(level);
      if (open.length > 1) open.pop();
    } else if (ENDS.has(token)) {
      end(level);
    } else if (token === '+') {
      level.plus = true;
    } else if (token === 'return') {
      end(level);
    } else if (level.plus && level.text !== undefined && !level.text.endsWith(FILLED_IN)) {
      level.text += FILLED_IN;
    }
    if (/^[\w$.]+$/.test(token)) last = token;
    else if (token !== '(' && token !== '@') last = token === ')' ? last : '';
  }
  end(open[0]);
  return found;
}

/** @returns {Visible[]} of a Markdown file: paragraphs, items and cells, without code */
export function visibleInMarkdown(file, source) {
  const found = [];
  let block = [];
  let from = 0;
  let fenced = false;
  const flush = () => {
    const text = tidy(block.join(' '));
    if (/\p{L}{2}/u.test(text)) found.push({ file, line: from, text });
    block = [];
  };
  source.split('\n').forEach((raw, i) => {
    if (/^\s*```/.test(raw)) {
      flush();
      fenced = !fenced;
      return;
    }
    if (fenced || /^ {4}\S/.test(raw)) return;
    const line = raw
      .replace(/`[^`]*`/g, FILLED_IN)
      .replace(/!?\[([^\]]*)\]\([^)]*\)/g, '$1')
      .replace(/\*+/g, '');
    if (/^\s*\|/.test(line)) {
      flush();
      for (const cell of line.split('|')) {
        from = i + 1;
        block = [cell];
        flush();
      }
    } else if (/^\s*$|^#|^\s*([-*]|\d+\.) /.test(line)) {
      flush();
      from = i + 1;
      block = [line.replace(/^#+|^\s*([-*]|\d+\.) /, '')];
    } else {
      if (block.length === 0) from = i + 1;
      block.push(line);
    }
  });
  flush();
  return found;
}

/** @returns {Visible[]} of a page that a browser shows as it stands, with what its scripts say */
export function visibleInHtml(file, source) {
  const blank = (all) => all.replace(/[^\n]/g, ' ');
  const lineOf = (at) => source.slice(0, at).split('\n').length;
  const said = [...source.matchAll(/<script>([^]*?)<\/script>/g)].flatMap((script) =>
    visibleInTypeScript(`${file}.ts`, script[1]).map((v) => ({
      ...v,
      file,
      line: v.line + lineOf(script.index) - 1,
    })),
  );
  const bare = source.replace(/<(script|style)[^]*?<\/\1>|<!--[^]*?-->/g, blank);
  return [...bare.matchAll(/>([^<]+)</g)]
    .map((m) => ({ file, line: lineOf(m.index), text: tidy(m[1]) }))
    .filter((v) => /\p{L}{2}/u.test(v.text))
    .concat(said);
}

/** @returns {Visible[]} of the values of a properties file */
export function visibleInProperties(file, source) {
  return source
    .split('\n')
    .map((line, i) => ({ file, line: i + 1, text: tidy(line.split('=').slice(1).join('=')) }))
    .filter((v) => /\p{L}{2}/u.test(v.text));
}
