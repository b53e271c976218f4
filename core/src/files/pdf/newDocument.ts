import { PDFDocument } from 'pdf-lib';

/** An empty document with a title and no dates: made the same from the same board. */
export async function newDocument(title: string): Promise<PDFDocument> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setCreator('June Tide');
  document.setProducer('June Tide');
  document.setCreationDate(new Date(0));
  document.setModificationDate(new Date(0));
  return document;
}
