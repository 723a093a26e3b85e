export const whatYouSeeAndFeel = "What you see and feel decides.";
