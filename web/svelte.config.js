import adapter from "@sveltejs/adapter-static";

/** @type {import("@sveltejs/kit").Config} */
export default {
  kit: {
    // One page for every address; the server sends it, the router takes over from there.
    adapter: adapter({ fallback: "index.html", precompress: true }),
  },
};
