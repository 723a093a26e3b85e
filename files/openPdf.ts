import { jsPDF } from "jspdf";
import { installLetters, type Letters } from "./letters";

/** An empty document of one page, mm, with the product's letters; the same design gives the same bytes. */
export function openPdf(widthMm: number, heightMm: number, letters: Letters): jsPDF {
  const pdf = new jsPDF({
    unit: "mm",
    format: [widthMm, heightMm],
    orientation: widthMm > heightMm ? "landscape" : "portrait",
    compress: false,
    putOnlyUsedFonts: true,
  });
  installLetters(pdf, letters);
  pdf.setCreationDate("D:20000101000000+00'00'");
  pdf.setFileId("5C41E05E5C41E05E5C41E05E5C41E05E");
  return pdf;
}
