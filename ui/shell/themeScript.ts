export const THEME_KEY = "schleuse-theme";

/** Sets the theme before the first paint: the one chosen last, or the one the system asks for. */
export const THEME_SCRIPT = `try{var t=localStorage.getItem("${THEME_KEY}")}catch(e){}document.documentElement.dataset.theme=t||(matchMedia("(prefers-color-scheme: dark)").matches?"dark":"light")`;
