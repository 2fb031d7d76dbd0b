<template>
  <section class="place">
    <h1>Nothing here</h1>
    <p class="quiet">
      This page is not on the shelf. <router-link to="/recipes">Back to the recipes</router-link>
    </p>
  </section>
</template>
