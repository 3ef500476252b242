import { svelte } from "@sveltejs/vite-plugin-svelte";
import { defineConfig } from "vitest/config";

/** The screen's logic without a screen: state classes and scales. What is seen is tested in a real browser. */
export default defineConfig({
  plugins: [svelte()],
  resolve: { conditions: ["browser"] },
  test: { include: ["tests/**/*.test.ts"], environment: "node" },
});
