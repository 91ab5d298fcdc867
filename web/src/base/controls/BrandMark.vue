<template>
  <span class="brand">
    <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
      <path class="roof" d="M1.5 10.5 12 3l10.5 7.5V21H18v-8H6v8H1.5z" />
      <path class="door" d="M9.5 21v-4.5h5V21" />
    </svg>
    <span class="word">Fair Gable</span>
  </span>
</template>

<style scoped>
.brand {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font: 700 18px var(--slab);
}

svg {
  fill: none;
  stroke-width: 1.8;
  stroke-linejoin: round;
}

.roof {
  stroke: var(--ink);
}

.door {
  stroke: var(--spruce);
}
</style>
