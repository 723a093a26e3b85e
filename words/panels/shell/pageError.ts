export const thePageCouldNotBe =
  "The page could not be shown. What was kept in this browser is still there: load the page again to go on.";
export const thePage = "The page";
