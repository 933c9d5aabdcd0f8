<script setup lang="ts">
import { definePageMeta } from '#imports'
definePageMeta({ redirect: to => `/jobs/${String(to.params.id)}/as-found` })
</script>

<template><div /></template>
