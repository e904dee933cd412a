/** What the server keeps at most; a picture made as small here is soon sent, whatever the camera takes. */
const LONGEST_SIDE = 1600;
const QUALITY = 0.86;

/** The picture made small enough to send, upright; what no browser can draw goes as it is, and the server says what is wrong. */
export async function small(picture: Blob): Promise<Blob> {
  try {
    const drawn = await createImageBitmap(picture);
    const scale = Math.min(1, LONGEST_SIDE / Math.max(drawn.width, drawn.height));
    if (scale === 1) return picture;
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(drawn.width * scale);
    canvas.height = Math.round(drawn.height * scale);
    canvas.getContext('2d')?.drawImage(drawn, 0, 0, canvas.width, canvas.height);
    drawn.close();
    return await new Promise((done) => canvas.toBlob((made) => done(made ?? picture), 'image/jpeg', QUALITY));
  } catch {
    return picture;
  }
}
