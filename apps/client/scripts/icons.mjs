// Writes src/ui/icons.ts: the signs the interface uses, out of the collection they come from. A new sign: add its name here, then npm run icons.
import { writeFileSync } from 'node:fs';
import { URL } from 'node:url';
import * as collection from '@mdi/js';

const NAMES = `
alert-circle-outline alert-outline align-horizontal-left align-horizontal-right angle-acute archive-arrow-down-outline archive-arrow-up-outline arrange-bring-forward
arrange-send-backward arrow-down arrow-expand-horizontal arrow-expand-up arrow-left arrow-left-right arrow-left-top arrow-right
arrow-right-top arrow-split-vertical arrow-up backspace-outline bluetooth-off call-split camera-outline check
check-all check-bold check-circle-outline checkbox-blank-outline checkbox-marked chevron-down chevron-left chevron-right
chevron-up circle-half circle-outline close cloud-alert cloud-check-outline cloud-off-outline cloud-upload-outline
content-copy crop crop-free crosshairs cube-outline cursor-move delete-outline door door-open
dialpad dots-horizontal dots-vertical download drawing eye-off-outline eye-outline file-export-outline file-image-outline
fit-to-screen-outline flip-horizontal flip-vertical format-list-numbered format-rotate-90 gesture gesture-tap home-group
history home-outline image-outline keyboard-outline image-plus image-sync-outline information-outline invert-colors label-outline laser-pointer
lasso layers-outline lock lock-open-variant-outline lock-outline magnet magnet-on map-marker-check-outline
menu-down minus minus-box note-edit-outline note-plus-outline palette-outline pencil-outline perspective-less
pillar pin-off-outline pin-outline plus printer-outline rectangle-outline redo restart
rotate-left rotate-right ruler shape-outline shoe-print skip-next-outline sort square-outline stairs ladder slope-uphill
star-outline stop swap-horizontal swap-vertical table table-large tape-measure trash-can-outline
tune-variant undo undo-variant vector-line vector-point-plus vector-polyline vector-radius vector-square-plus view-grid-plus-outline
view-parallel-outline view-sequential-outline wall window-closed-variant
home-roof box-cutter sofa-outline texture-box pencil-ruler format-title
`;

const exported = (name) => `mdi${name.replace(/(^|-)(\w)/g, (_, _dash, letter) => letter.toUpperCase())}`;
const lines = NAMES.trim()
  .split(/\s+/)
  .map((name) => {
    const path = collection[exported(name)];
    if (!path) throw new Error(`There is no sign “${name}”.`);
    return `  ['${name}', '${path}'],`;
  });
writeFileSync(
  new URL('../src/ui/icons.ts', import.meta.url),
  `// made by scripts/icons.mjs
/** The signs of the interface, as paths in a square of 24: only these are sent, not all there are. */
export const ICONS: ReadonlyMap<string, string> = new Map([
  // room for one, so that words beside it stand in line
  ['blank', ''],
${lines.join('\n')}
]);
`,
);
