import { deriveFloor } from '@velvet-tape/core';
import { floorToSvg } from '@velvet-tape/formats';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import type { RootState } from '../../store/store';
import { piecesMeant } from './selectors';

const PLACE = 'printed-plan';
/** Where sheets are while they are printed: then it is they that are. */
export const PRINTED = 'printed-sheets';
/** Scales of drawing offices (ISO 5455), the largest that fits is taken. */
const SCALES = [20, 25, 50, 100, 200, 500];
/** What a printer leaves of A4, mm. */
const SHORT = 190;
const LONG = 277;

/** Whoever prints the page gets the plan, at the largest usual scale that fits on A4, and nothing of the application. */
export function usePrinting(): void {
  const store = useStore<RootState>();
  useEffect(() => {
    const stop = new AbortController();
    const { signal } = stop;
    const clear = () => document.getElementById(PLACE)?.remove();
    const show = () => {
      clear();
      const { plan, floor } = store.getState().plan;
      if (!plan || document.getElementById(PRINTED)) return;
      const page = printedPage(plan, floor);
      const place = document.createElement('div');
      place.id = PLACE;
      place.innerHTML = `<style>@page { size: A4 ${page.across ? 'landscape' : 'portrait'}; margin: 10mm }
        #${PLACE} { display: none } @media print { body > :not(#${PLACE}) { display: none !important }
        #${PLACE} { display: block } html, body { height: auto !important; overflow: visible !important } }</style>${page.svg}`;
      document.body.append(place);
    };
    globalThis.addEventListener('beforeprint', show, { signal });
    globalThis.addEventListener('afterprint', clear, { signal });
    return () => {
      stop.abort();
      clear();
    };
  }, [store]);
}

/** The page as it is printed, whether it lies across, and its scale. */
export function printedPage(
  plan: Parameters<typeof deriveFloor>[0],
  floor: string,
): { svg: string; across: boolean; scale: number } {
  const own = deriveFloor(plan, floor);
  const { name, north } = plan.job;
  const at = (scale: number) =>
    floorToSvg(own, { scale, title: `${name}, ${own.name}`, north, pieces: piecesMeant(plan) });
  for (const scale of SCALES) {
    const svg = at(scale);
    const { width, height } = sizeOf(svg);
    if (Math.min(width, height) <= SHORT && Math.max(width, height) <= LONG)
      return { svg, across: width > height, scale };
  }
  const scale = SCALES.at(-1)!;
  return { svg: at(scale), across: false, scale };
}

/** mm of paper */
const sizeOf = (svg: string): { width: number; height: number } => {
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg)!;
  return { width: Number(width), height: Number(height) };
};
