/** What a picture is on the whole, as #RRGGBB: each of its px counts alike. Rejects what is no picture. */
export async function meanColour(picture: Blob): Promise<string> {
  const whole = await createImageBitmap(picture);
  // a small one has the mean, and is quickly read
  const [wide, high] = [Math.min(32, whole.width), Math.min(32, whole.height)];
  const canvas = new OffscreenCanvas(wide, high);
  const onto = canvas.getContext('2d', { willReadFrequently: true })!;
  onto.imageSmoothingQuality = 'high';
  onto.drawImage(whole, 0, 0, wide, high);
  whole.close();
  const { data } = onto.getImageData(0, 0, wide, high);
  const mean = [0, 1, 2].map((k) => {
    let sum = 0;
    for (let i = k; i < data.length; i += 4) sum += data[i]!;
    return Math.round(sum / (wide * high));
  });
  return `#${mean.map((each) => each.toString(16).padStart(2, '0')).join('')}`.toUpperCase();
}
