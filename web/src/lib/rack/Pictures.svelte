<script lang="ts">
  /** Pictures of a piece: taken in, looked at, taken away; and a colour picked from one. */
  import { untrack } from "svelte";
  import type { Refusal, Schemas } from "../api/client";
  import { sendPicture } from "../api/pictures";
  import { api, ask } from "../api/client";
  import { notice } from "../ui/notice.svelte";

  interface Props {
    /** Where they are kept: of a piece, or of a piece as it was tried on. */
    path: string;
    of: string;
    small?: boolean;
    /** Called with a colour that was picked, where one may be. */
    onpick?: (colour: string) => void;
    /** Called with the largest shades and their shares, to take them as ground, second and third. */
    onpalette?: (shades: { colour: string; share: number }[]) => void;
    onchange?: () => void;
  }
  const { path, of, small = false, onpick, onpalette, onchange }: Props = $props();
  let pictures = $state.raw<Schemas["PictureOut"][]>([]);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  let large = $state<string | null>(null);
  $effect(() => {
    void path;
    untrack(() => void load());
  });

  async function load() {
    const answer = await fetch(path).catch(() => null);
    if (answer?.ok) pictures = ((await answer.json()) as Schemas["PicturesOut"]).pictures;
  }

  async function add(input: HTMLInputElement) {
    const files = [...(input.files ?? [])];
    input.value = "";
    trouble = null;
    busy = true;
    for (const file of files) {
      const told: { data: unknown } | { refusal: Refusal } = await sendPicture(path, file);
      if ("refusal" in told) trouble = `${file.name}: ${told.refusal.message}`;
    }
    busy = false;
    await load();
    onchange?.();
  }

  async function remove(id: string) {
    const params = { path: { picture_id: id } };
    const told = await ask(api.DELETE("/api/pictures/{picture_id}", { params }));
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    large = null;
    await load();
    onchange?.();
    const back = async () => {
      await ask(api.POST("/api/pictures/{picture_id}/restore", { params }));
      await load();
      onchange?.();
    };
    notice.say("The picture is taken away.", { name: "Undo", run: () => void back() });
  }

  /** The colour of the picture under the pointer, a few points wide. */
  function pick(event: MouseEvent) {
    if (!onpick) return;
    const image = event.currentTarget as HTMLImageElement;
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [1, 1];
    const drawn = canvas.getContext("2d");
    if (!drawn) return;
    const x = (event.offsetX / image.clientWidth) * image.naturalWidth;
    const y = (event.offsetY / image.clientHeight) * image.naturalHeight;
    const WIDE = 6;
    drawn.drawImage(image, x - WIDE / 2, y - WIDE / 2, WIDE, WIDE, 0, 0, 1, 1);
    const [red = 0, green = 0, blue = 0] = drawn.getImageData(0, 0, 1, 1).data;
    onpick(`#${[red, green, blue].map((part) => part.toString(16).padStart(2, "0")).join("")}`);
  }
  const shown = $derived(pictures.find((one) => one.id === large) ?? null);
</script>

<div class="min-w-0">
  <div class="flex flex-wrap items-center gap-2">
    {#each pictures as picture (picture.id)}
      <button
        class="border-2 {large === picture.id ? 'border-leaf' : 'border-transparent'}"
        aria-pressed={large === picture.id}
        onclick={() => (large = large === picture.id ? null : picture.id)}
      >
        <img
          src="/api/pictures/{picture.id}?small=true"
          alt="The {of}"
          class="block {small ? 'h-10' : 'h-16'} w-auto"
        />
      </button>
    {/each}
    <label class="quiet cursor-pointer text-sm focus-within:outline-2 focus-within:outline-leaf">
      {busy ? "Taking it in…" : pictures.length ? "Another picture" : "Add a picture"}
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        multiple
        class="sr-only"
        aria-label="Add a picture of the {of}"
        disabled={busy}
        onchange={(event) => void add(event.currentTarget)}
      />
    </label>
  </div>
  {#if trouble}<p role="alert" class="text-sm text-madder">{trouble}</p>{/if}
  {#if shown}
    <figure class="mt-1">
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
      <!-- The swatches below give the same colours to the keyboard. -->
      <img
        src="/api/pictures/{shown.id}"
        alt="The {of}, larger"
        class="max-h-64 w-auto {onpick ? 'cursor-crosshair' : ''}"
        onclick={pick}
      />
      <figcaption class="flex flex-wrap items-center gap-1 text-sm">
        {#if onpick}
          {#each shown.palette as shade (shade.colour)}
            <button
              class="flex items-center gap-1 px-1"
              title="{Math.round(shade.share * 100)} % of the middle"
              data-shade={shade.near}
              onclick={() => onpick(shade.colour)}
            >
              <svg width="14" height="14" aria-hidden="true"
                ><rect width="14" height="14" fill={shade.colour} stroke="#35261b" /></svg
              >
              {shade.near.replaceAll("_", " ")}
            </button>
          {/each}
          {#if onpalette && shown.palette.length > 1}
            <button class="press" onclick={() => onpalette(shown.palette.slice(0, 3))}
              >Take the {Math.min(3, shown.palette.length)} largest</button
            >
          {/if}
          <span class="w-full text-bark">Click the cloth or a shade to make it the piece’s colour.</span>
        {/if}
        <button class="quiet" onclick={() => void remove(shown.id)}>Take it away</button>
      </figcaption>
    </figure>
  {/if}
</div>
