import type { MetadataRoute } from "next";

export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Schleuse",
    short_name: "Schleuse",
    description: "Designs the drains, traps, vents and waste tanks of a camper conversion.",
    start_url: "/",
    display: "standalone",
    background_color: "#f3f0e6",
    theme_color: "#143f66",
    icons: [
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml" },
      { src: "/icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icon-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
  };
}
