import type { ElementHandle, Page } from 'puppeteer-core';

/** So long (ms) a page is waited for: a machine that does other work beside is ten times slower than one that does not. */
export const patience = 40_000;
/** ms between looks: the text of a page is not to be laid out anew at every frame. */
export const polling = 80;

/** So long (ms) something is sought by what stands on it, before the tree of accessible names is asked, which is slow to make. */
const soon = 4000;

/** What can be clicked of a role, by its name as people read it: found, enabled and not covered; else nothing yet. */
export function clickable(page: Page, name: string, role: string): Promise<ElementHandle<HTMLElement> | null> {
  const kinds: Record<string, string> = { button: 'button', link: 'a[href]' };
  if (!kinds[role]) return Promise.resolve(null);
  return (
    page
      .waitForFunction(
        (selector, wanted) => {
          const plain = (text: string) => text.replace(/\s+/g, ' ').trim();
          // What is hidden at this width is no part of a name.
          const isCalled = (candidate: HTMLElement) =>
            plain(candidate.getAttribute('aria-label') ?? candidate.textContent) === wanted ||
            (candidate.textContent.includes(wanted) && plain(candidate.innerText) === wanted);
          const one = [...document.querySelectorAll<HTMLElement>(selector)].find(
            (candidate) => isCalled(candidate) && candidate.checkVisibility(),
          );
          if (!one || (one as HTMLButtonElement).disabled || one.classList.contains('ant-btn-loading')) return null;
          one.scrollIntoView({ block: 'center' });
          const { left, top, width, height } = one.getBoundingClientRect();
          // What still moves as the page draws would not be under the mouse, nor what lies under a dialog that is closing.
          const place = [left, top, width, height].map(Math.round).join();
          const isStill = one.dataset['place'] === place;
          one.dataset['place'] = place;
          return isStill && one.contains(document.elementFromPoint(left + width / 2, top + height / 2)) ? one : null;
        },
        { timeout: soon, polling: polling / 2 },
        kinds[role],
        name,
      )
      .then((found) => found as unknown as ElementHandle<HTMLElement>)
      // Gone to another page meanwhile, or not found so: the slow way tells.
      .catch(() => null)
  );
}

/** The field that a label names; nothing where it is named in another way. */
export function labelled(page: Page, label: string): Promise<ElementHandle<HTMLInputElement> | null> {
  return page
    .waitForFunction(
      (wanted) => {
        const plain = (text: string) => text.replace(/\s+/g, ' ').trim();
        const one = [
          ...document.querySelectorAll<HTMLInputElement>('input:not([type=checkbox], [type=radio], [role=combobox]), textarea'),
        ].find(
          (field) =>
            field.checkVisibility() &&
            (field.getAttribute('aria-label') === wanted || [...(field.labels ?? [])].some((text) => plain(text.innerText) === wanted)),
        );
        one?.scrollIntoView({ block: 'center' });
        return one ?? null;
      },
      { timeout: soon, polling },
      label,
    )
    .then((found) => found as unknown as ElementHandle<HTMLInputElement>)
    .catch(() => null);
}
