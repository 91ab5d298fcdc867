<template>
  <section class="lost">
    <h1>There’s nothing at this address</h1>
    <p>The unit may have left the yard, or the link was cut off.</p>
    <RouterLink :to="{ name: 'yard' }">Back to the yard</RouterLink>
  </section>
</template>

<style scoped>
.lost {
  display: grid;
  gap: 10px;
  padding: 40px 24px;
}
</style>
