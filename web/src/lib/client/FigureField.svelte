<script lang="ts">
  /** A flat measurement of a piece: what its words come to (basted) until the tape says (stitched). */
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure as written } from "../units";

  interface Props {
    figure: Schemas["FigureOut"];
    label: string;
    onchange: (cm: number | null) => void;
  }
  const { figure, label, onchange }: Props = $props();
  /** The longest flat measurement a piece can have; the server holds to the same. */
  const MOST_CM = 220;
  let typed = $state<string | null>(null);
  let wrong = $state<string | null>(null);
  const id = $derived(`f-${figure.key}`);

  async function accept() {
    if (typed === null) return;
    const text = typed.trim();
    wrong = null;
    if (text === "" || text === written(figure.cm, studio.unit)) {
      if (text === "" && figure.settled) onchange(null);
      typed = null;
      return;
    }
    const told = await ask(api.POST("/api/length", { body: { text, unit: studio.unit } }));
    if ("refusal" in told) wrong = told.refusal.message;
    else if (told.data.cm > MOST_CM)
      wrong = `No piece is ${written(told.data.cm, studio.unit)} ${studio.unit} here.`;
    else {
      onchange(Math.round(told.data.cm * 10) / 10);
      typed = null;
    }
  }
</script>

<div class="text-sm">
  <label for={id} class="text-xs text-bark">{figure.label}</label>
  <input
    {id}
    class="field w-16 {figure.settled ? 'font-semibold text-chalk' : ''}"
    data-settled={figure.settled ? "true" : "false"}
    aria-invalid={wrong ? "true" : undefined}
    aria-describedby={wrong ? `${id}-wrong` : undefined}
    title={figure.settled ? `measured: ${label}` : `from its words: ${label}`}
    autocomplete="off"
    inputmode="decimal"
    value={typed ?? written(figure.cm, studio.unit)}
    oninput={(event) => (typed = event.currentTarget.value)}
    onfocus={(event) => event.currentTarget.select()}
    onblur={() => void accept()}
    onkeydown={(event) => {
      if (event.key === "Enter") void accept();
      if (event.key === "Escape") typed = null;
    }}
  />
  {#if wrong}<p id="{id}-wrong" role="alert" class="text-madder">{wrong}</p>{/if}
</div>
