<script lang="ts">
  /** Pictures from the tablet's camera or a folder: a line each says what it is; the colour is read from the picture. */
  import { tick } from "svelte";
  import type { Edit } from "./edit.svelte";

  const { edit }: { edit: Edit } = $props();
  interface Row {
    id: string;
    file: File;
    line: string;
    said: string;
  }
  let rows = $state<Row[]>([]);
  let busy = $state(false);
  let said = $state("");
  const MOST = 40;
  const TALL = 72;

  function choose(input: HTMLInputElement) {
    const files = [...(input.files ?? [])].slice(0, MOST - rows.length);
    input.value = "";
    rows = [...rows, ...files.map((file) => ({ id: crypto.randomUUID(), file, line: "", said: "" }))];
  }

  let list = $state<HTMLUListElement>();
  /** One after the other with the camera: taken, and the hand is at its line. */
  async function take(input: HTMLInputElement) {
    choose(input);
    await tick();
    list?.querySelector<HTMLInputElement>("li:last-child input")?.focus();
  }

  /** A picture, small: drawn here, before anything is sent. */
  function drawn(canvas: HTMLCanvasElement, file: File) {
    void createImageBitmap(file)
      .then((image) => {
        canvas.height = TALL;
        canvas.width = Math.round((TALL * image.width) / image.height);
        canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
        image.close();
      })
      .catch(() => undefined);
  }

  async function hang() {
    const told = rows.filter((row) => row.line.trim());
    if (!told.length || busy) return;
    busy = true;
    const outcomes = await edit.hangPictured(told.map(({ file, line }) => ({ file, line: line.trim() })));
    busy = false;
    const left = new Map(told.map((row, at) => [row.id, outcomes[at] ?? ""]));
    const hung = [...left.values()].filter((one) => !one).length;
    rows = rows
      .filter((row) => !left.has(row.id) || left.get(row.id))
      .map((row) => ({ ...row, said: left.get(row.id) ?? row.said }));
    said = hung
      ? `${hung} hang${hung === 1 ? "s" : ""} with ${hung === 1 ? "its picture" : "their pictures"}.`
      : "";
  }
</script>

<div class="mt-5 border-t border-grain pt-3">
  <!-- Where a finger points there is a camera; elsewhere it would be the same as the files. -->
  <label
    class="press mr-2 hidden cursor-pointer focus-within:outline-2 focus-within:outline-leaf pointer-coarse:inline-block"
  >
    Take a picture
    <input
      type="file"
      accept="image/*"
      capture="environment"
      class="sr-only"
      aria-label="Take a picture of a piece to hang"
      onchange={(event) => void take(event.currentTarget)}
    />
  </label>
  <label class="press cursor-pointer focus-within:outline-2 focus-within:outline-leaf">
    Pictures
    <input
      type="file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      class="sr-only"
      aria-label="Pictures of pieces to hang"
      onchange={(event) => choose(event.currentTarget)}
    />
  </label>
  <span class="ml-2 text-sm text-bark"
    >A line says what each shows; its colours are read from the picture.</span
  >
  <ul class="mt-2 space-y-2" data-testid="pictured" bind:this={list}>
    {#each rows as row, at (row.id)}
      <li class="flex items-center gap-3">
        <canvas
          class="h-[72px] w-auto flex-none"
          aria-hidden="true"
          {@attach (canvas) => drawn(canvas, row.file)}
        ></canvas>
        <label class="grow text-sm text-bark"
          ><span class="sr-only">What picture {at + 1} shows</span>
          <input
            class="field text-walnut"
            maxlength="300"
            placeholder="straight trousers high rise, ankle"
            aria-invalid={row.said ? "true" : undefined}
            bind:value={row.line}
            onkeydown={(event) => event.key === "Enter" && void hang()}
          />
          {#if row.said}<span role="alert" class="text-madder">{row.said}</span>{/if}
        </label>
        <button
          class="quiet text-sm"
          aria-label="leave out picture {at + 1}"
          onclick={() => (rows = rows.filter((one) => one !== row))}>leave out</button
        >
      </li>
    {/each}
  </ul>
  {#if rows.length}
    <button
      class="press mt-2"
      data-main
      disabled={busy || !rows.some((row) => row.line.trim())}
      onclick={() => void hang()}
    >
      {busy ? "Taking them in…" : "Hang what is said"}
    </button>
  {/if}
  <p role="status" class="mt-1 text-sm">{said}</p>
</div>
