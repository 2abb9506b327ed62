import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/** Makes a PDF of a document. What makes it is large, and comes when it is asked for. */
export async function pdfOf(document: TDocumentDefinitions): Promise<Blob> {
  const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
    import('pdfmake/build/pdfmake.min.js'),
    import('pdfmake/build/vfs_fonts.js'),
  ]);
  return new Promise((resolve) => {
    pdfMake.createPdf(document, undefined, undefined, fonts).getBlob(resolve);
  });
}

/** How wide a text is in pt, at least as wide as the printed face: the page's own face is a little wider. */
export function measureText(text: string, size: number, isBold: boolean): number {
  const context = (canvas ??= document.createElement('canvas')).getContext('2d');
  if (!context) return text.length * size * 0.6;
  context.font = `${isBold ? 700 : 400} 100px "Atkinson Hyperlegible Next Variable", sans-serif`;
  return (context.measureText(text).width * size) / 100;
}
let canvas: HTMLCanvasElement | undefined;
