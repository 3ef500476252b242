import { sveltekit } from "@sveltejs/kit/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  server: {
    // The host is passed on as the browser sent it: else the server takes every write for a forged one.
    proxy: { "/api": { target: process.env.BASILWOOD_API ?? "http://127.0.0.1:8421", changeOrigin: false } },
  },
});
