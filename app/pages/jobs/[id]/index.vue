<script setup lang="ts">
definePageMeta({ redirect: to => `/jobs/${String(to.params.id)}/as-found` })
</script>

<template><div /></template>
