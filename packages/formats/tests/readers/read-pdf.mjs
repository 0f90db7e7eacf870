// Reads a PDF with pdf.js, which had no part in writing it: paths in mm on the page, texts, labels, the words of the structure tree. Prints JSON.
import { readFileSync } from 'node:fs';
import { OPS, Util, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM = 25.4 / 72;
const pdf = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= pdf.numPages; n += 1) {
  const page = await pdf.getPage(n);
  const [, , width, height] = page.view;
  const { fnArray, argsArray } = await page.getOperatorList();
  const stack = [];
  let matrix = [1, 0, 0, 1, 0, 0];
  const paths = [];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.save) stack.push(matrix);
    else if (fn === OPS.restore) matrix = stack.pop();
    else if (fn === OPS.transform) matrix = Util.transform(matrix, args);
    else if (fn === OPS.constructPath) {
      // moveTo 0, lineTo 1, curveTo 2, quadratic 3, close 4
      const [paint, [data]] = args;
      const points = [];
      for (let k = 0; data && k < data.length;) {
        const length = [2, 2, 6, 4, 0][data[k]];
        if (length >= 2) {
          const p = [data[k + length - 1], data[k + length]];
          Util.applyTransform(p, matrix);
          points.push([p[0] * MM, (height - p[1]) * MM]);
        }
        k += 1 + length;
      }
      paths.push({ fill: paint !== OPS.stroke, points });
    }
  });
  const { items } = await page.getTextContent();
  const tree = await page.getStructTree();
  pages.push({
    width: width * MM,
    height: height * MM,
    paths,
    texts: items.map(({ str }) => str),
    alt: tree?.children?.[0]?.alt ?? null,
  });
}
console.log(JSON.stringify({ pages, labels: await pdf.getPageLabels(), info: (await pdf.getMetadata()).info }));
