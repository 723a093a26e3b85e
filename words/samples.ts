/** A sample rig by its file: "lesesaal-furnished" is Lesesaal, furnished. */
export const nameSample = (file: string): string =>
  (file.charAt(0).toUpperCase() + file.slice(1)).replace("-loop", ", with loop").replace("-", ", ");
