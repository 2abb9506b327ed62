import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  id: string;
  impact: string | null;
  nodes: { html: string; failureSummary?: string }[];
}

/** The serious and critical barriers that axe-core finds on a page by WCAG 2.2 A and AA. */
export async function seriousBarriers(page: Page): Promise<string[]> {
  // It stays on a page until that is loaded anew.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source);
  const violations = await page.evaluate(async () => {
    const { axe } = window as unknown as { axe: { run: (context: Document, options: object) => Promise<{ violations: Violation[] }> } };
    const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
    return (await axe.run(document, { runOnly: { type: 'tag', values: tags } })).violations;
  });
  return violations
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .flatMap((one) =>
      one.nodes.map((node) => `${one.id}: ${node.html.slice(0, 160)} — ${node.failureSummary?.split('\n')[1]?.trim() ?? ''}`),
    );
}
