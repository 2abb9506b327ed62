import { readFileSync, writeFileSync } from 'node:fs';
import { relative } from 'node:path';

/*
 * What a run of the tests says at its end: the twenty slowest files, then the name of each test that failed. The counts go to a file, as
 * `passed failed`; a file that could not be run counts as one that failed.
 *
 *   tsx scripts/test-report.ts report.json counts.txt
 */

interface Suite {
  name: string;
  status: string;
  startTime: number;
  endTime: number;
  message?: string;
  assertionResults: { status: string; fullName: string; title: string }[];
}
interface Report {
  numPassedTests: number;
  numFailedTests: number;
  testResults: Suite[];
}

const [file, counts] = process.argv.slice(2) as [string, string];

function readReport(): Report | null {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Report;
  } catch {
    return null;
  }
}

const report = readReport();
const called = ({ name }: Suite) => relative(process.cwd(), name);
const hasFailed = ({ assertionResults }: Suite) => assertionResults.some(({ status }) => status === 'failed');

if (!report) {
  console.log('The tests did not come to their end: there is no report.');
  writeFileSync(counts, '0 1');
} else {
  const seconds = (suite: Suite) => (suite.endTime - suite.startTime) / 1000;
  const slowest = [...report.testResults].sort((a, b) => seconds(b) - seconds(a)).slice(0, 20);
  console.log('\nThe slowest files, in s:');
  for (const suite of slowest) console.log(`${seconds(suite).toFixed(1).padStart(7)}  ${called(suite)}`);
  const broken = report.testResults.filter((suite) => suite.status === 'failed' && !hasFailed(suite));
  const failed = report.testResults.flatMap((suite) =>
    suite.assertionResults.filter(({ status }) => status === 'failed').map(({ fullName }) => `${called(suite)} › ${fullName}`),
  );
  if (failed.length + broken.length > 0) console.log('\nFailed:');
  for (const name of [...failed, ...broken.map((suite) => `${called(suite)}: could not be run`)]) console.log(`  ${name}`);
  writeFileSync(counts, `${report.numPassedTests} ${report.numFailedTests + broken.length}`);
}
