<script lang="ts">
  /** The proofs of erasure of this studio. */
  import { api, ask, type Schemas } from "../api/client";
  import { day } from "../units";

  let rows = $state.raw<Schemas["ErasureOut"][] | null>(null);
  let trouble = $state<string | null>(null);
  $effect(() => {
    void ask(api.GET("/api/erasures")).then((told) => {
      if ("data" in told) rows = told.data;
      else trouble = told.refusal.message;
    });
  });
  const total = (held: Record<string, number>) => Object.values(held).reduce((sum, count) => sum + count, 0);
</script>

{#if trouble}<p role="alert" class="text-madder">{trouble}</p>
{:else if rows === null}<p role="status" class="text-sm text-bark">Looking them up…</p>
{:else if rows.length === 0}<p class="text-sm text-bark">Nobody has been erased.</p>
{:else}
  <ul class="text-sm">
    {#each rows as row (row.id)}
      <li class="border-b border-grain py-1">
        {day(row.at)} by {row.by || "a former stylist"}: {total(row.rows)} rows erased, {row.remaining} found afterwards
        in the whole database. <span class="text-bark">Proof {row.id}</span>
      </li>
    {/each}
  </ul>
{/if}
