<template><ShellSoon area="Release" /></template>
