<script lang="ts">
  /** A new piece in one line, and what of the rack is shown. */
  import { heelsFor } from "../shop/heels";
  import type { Rack } from "./rack.svelte";

  const { rack }: { rack: Rack } = $props();
  const HOW = [
    ["", "however they fit"],
    ["fits", "that fit"],
    ["watch", "to look at twice"],
    ["against", "that do not fit yet"],
    ["caution", "to take care with"],
  ] as const;
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    void rack.hang();
  }}
>
  <label class="block">
    <span class="heading text-lg">Hang a piece</span>
    <input
      id="hang"
      class="field"
      maxlength="300"
      autocomplete="off"
      placeholder="black slim jeans, inseam 70"
      bind:value={rack.line}
      aria-invalid={rack.wrong && !rack.detail ? "true" : undefined}
      aria-describedby={rack.wrong && !rack.detail ? "hang-wrong" : undefined}
    />
  </label>
  {#if rack.wrong && !rack.detail}<p id="hang-wrong" role="alert" class="mt-1 text-sm text-madder">
      {rack.wrong}
    </p>{/if}
  <p class="mt-1 text-sm text-bark">
    Colour, cut, kind, cloth, and any figure: front rise 29, inseam 70, chest 104. <span class="key"
      >Enter</span
    > hangs it.
  </p>
</form>
<fieldset class="mt-5 space-y-2 border-t border-grain pt-3">
  <legend class="sr-only">Show</legend>
  <label class="block text-sm text-bark">
    Find
    <input type="search" class="field text-walnut" bind:value={rack.sought} />
  </label>
  <label class="block text-sm text-bark">
    Kind
    <select class="field text-walnut" bind:value={rack.kind}>
      <option value="">all kinds</option>
      {#each rack.kinds as kind (kind)}<option>{kind}</option>{/each}
    </select>
  </label>
  <label class="block text-sm text-bark">
    Those
    <select class="field text-walnut" bind:value={rack.how}>
      {#each HOW as [key, name] (key)}<option value={key}>{name}</option>{/each}
    </select>
  </label>
  <label class="block text-sm text-bark">
    Worn with
    <select class="field text-walnut" bind:value={rack.heel} onchange={() => void rack.load()}>
      {#each heelsFor(rack.heels) as [name, cm] (cm)}<option value={cm}>{name}</option>{/each}
    </select>
  </label>
  <p class="pt-1 text-sm" role="status" data-testid="count">
    {rack.shown.length} of {rack.pieces?.length ?? 0}
    {rack.pieces?.length === 1 ? "piece" : "pieces"}
  </p>
</fieldset>
<p class="mt-3 text-sm text-bark">
  Underlined solid: measured. Dashed: described in words, its fit not known yet.
</p>
