export const fillToTheBrimMark =
  "Fill to the brim, mark the level, dry paper under each joint. Then read how far it sank.";
export const minutes = "Minutes";
export const levelSankBy = "Level sank by";
export const surfaceThatSank = "Surface that sank";
export const theWidestItCanBe =
  "The widest it can be stands here. Where the water stands in a pipe of 36 mm, 1 3/8 in, it is 10 cm², 1.6 sq in, and the trial shows more.";
export const paperUnderTheJoints = "Paper under the joints";
export const nothingReadYet = "Nothing read yet: what you see decides.";
