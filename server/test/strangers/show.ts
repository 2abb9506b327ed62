import { readOf, score } from './score.ts';
import { trueFiles } from './truth.ts';

/* Prints how each file is read: `npx tsx server/test/strangers/show.ts [word of a file's name]`. */
const [word = ''] = process.argv.slice(2);
const all = { right: 0, of: 0, wrong: 0, silent: 0, missed: 0, questions: 0 };
for (const truth of trueFiles.filter(({ file }) => file.includes(word))) {
  const read = await readOf(truth.file);
  const draft = 'draft' in read ? read.draft : null;
  const one = score(truth, draft?.results ?? [], draft);
  const said = 'refusal' in read ? read.refusal.code : (draft?.refusal?.code ?? '');
  all.right += one.right;
  all.of += one.of;
  for (const key of ['wrong', 'silent', 'missed'] as const) all[key] += one[key].length;
  all.questions += one.questions;
  console.log(
    `${truth.file.padEnd(44)} ${truth.fileMust.padEnd(6)} ${one.right}/${one.of} wrong ${one.wrong.length} silent ${one.silent.length} questions ${one.questions} ${said}`,
  );
  if (word !== '' || process.env['FULL'])
    for (const key of ['wrong', 'silent', 'missed'] as const) for (const line of one[key]) console.log(`    ${key}: ${line}`);
}
console.log(all);
