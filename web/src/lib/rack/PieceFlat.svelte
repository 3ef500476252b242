<script lang="ts">
  /** The flat of a piece of a rack, drawn when it is seen. */
  import type { Schemas } from "../api/client";
  import Flat from "./Flat.svelte";
  import type { Flats } from "./flats.svelte";

  interface Props {
    flats: Flats;
    piece: Schemas["RackPieceOut"];
    id: string;
    scale?: number;
    tall?: number;
    wide?: number;
  }
  const { flats, piece, ...drawn }: Props = $props();
</script>

{#key piece.id}
  <Flat
    shapes={flats.of(piece)}
    basted={!piece.measured}
    onseen={() => void flats.want(piece.id)}
    {...drawn}
  />
{/key}
