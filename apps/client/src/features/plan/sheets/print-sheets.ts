import type { Id } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { lent } from '../later/lent';
import { sayWrong } from './say-wrong';
import { svgInPage } from './svg-in-page';
import { broughtFor } from './use-pages';

const { PRINTED, filesWorker } = lent();

/** Sheets through the printer of the device, each on a page of its own size, and nothing of the application. */
export const printSheets =
  (ids: readonly Id[]): Command =>
  (dispatch, getState) => {
    const plan = getState().plan.plan!;
    void print()
      .catch(sayWrong(dispatch))
      .finally(() => document.getElementById(PRINTED)?.remove());

    async function print(): Promise<void> {
      const files = await filesWorker();
      const brought = await broughtFor(plan, ids);
      const place = document.createElement('div');
      place.id = PRINTED;
      const rules: string[] = [];
      for (const [i, id] of ids.entries()) {
        const page = await files.page(plan, id, brought);
        if (!page) continue;
        rules.push(`@page sheet${i} { size: ${page.width}mm ${page.height}mm; margin: 0 }`);
        const own = document.createElement('div');
        own.style.cssText = `page: sheet${i}; break-after: page; width: ${page.width}mm; height: ${page.height}mm; overflow: hidden`;
        own.innerHTML = svgInPage(page.svg);
        place.append(own);
      }
      const style = document.createElement('style');
      style.textContent = `${rules.join(' ')} #${PRINTED} { display: none }
        @media print { body > :not(#${PRINTED}) { display: none !important } #${PRINTED} { display: block }
        html, body { height: auto !important; overflow: visible !important; margin: 0 } }`;
      place.prepend(style);
      document.body.append(place);
      globalThis.print();
    }
  };
