import { createRouter, createWebHistory } from 'vue-router';
import { useSession } from './base/session/session.ts';
import { callPage } from './base/title/index.ts';

declare module 'vue-router' {
  interface RouteMeta {
    /** Open without signing in. */
    open?: true;
    /** Fills the screen, without the frame. */
    bare?: true;
    /** What the page is called; a unit’s pages say it themselves. */
    title?: string;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  // A page begins at its top and comes back as left; within a unit's station or round the page itself sees to it.
  scrollBehavior: (to, from, saved) => {
    if (saved) return saved;
    const isSamePage = to.name === from.name && to.params['id'] === from.params['id'];
    return isSamePage || to.query['field'] ? false : { top: 0 };
  },
  routes: [
    { path: '/', redirect: { name: 'yard' } },
    {
      path: '/sign-in',
      name: 'sign-in',
      meta: { title: 'Sign in', open: true, bare: true },
      component: () => import('./yard/people/SignIn.vue'),
    },
    {
      path: '/first-account',
      name: 'first-account',
      meta: { title: 'First account', open: true, bare: true },
      component: () => import('./yard/people/FirstAccount.vue'),
    },
    {
      path: '/password',
      name: 'password',
      meta: { title: 'Password', open: true, bare: true },
      component: () => import('./yard/people/PasswordByLink.vue'),
    },
    {
      path: '/settings',
      name: 'settings',
      meta: { title: 'Settings' },
      component: () => import('./yard/settings/SettingsView.vue'),
    },
    {
      path: '/unsent',
      name: 'unsent',
      meta: { title: 'Not sent yet' },
      component: () => import('./yard/unsent/UnsentView.vue'),
    },
    {
      path: '/yard',
      name: 'yard',
      meta: { title: 'Yard' },
      component: () => import('./yard/list/YardView.vue'),
    },
    {
      path: '/yard/left',
      name: 'yard-left',
      meta: { title: 'To do' },
      component: () => import('./yard/to-do/ToDoView.vue'),
    },
    { path: '/yard/to-confirm', redirect: { name: 'yard-left' } },
    {
      path: '/yard/list',
      name: 'take-list',
      meta: { title: 'Import a list' },
      component: () => import('./unit/stock-list/TakeList.vue'),
    },
    {
      path: '/model-sheets',
      name: 'model-sheets',
      meta: { title: 'Model sheets' },
      component: () => import('./unit/model-sheet/SheetsView.vue'),
    },
    {
      path: '/model-sheets/:sheet',
      name: 'model-sheet',
      meta: { title: 'Model sheet' },
      props: true,
      component: () => import('./unit/model-sheet/SheetView.vue'),
    },
    {
      path: '/numbers/:question?',
      name: 'walk-in',
      meta: { title: 'Numbers' },
      props: true,
      component: () => import('./numbers/benches/WalkInView.vue'),
    },
    {
      path: '/vehicles',
      name: 'vehicles',
      meta: { title: 'Vehicles' },
      component: () => import('./numbers/vehicles/VehiclesView.vue'),
    },
    {
      path: '/yard/take-in',
      name: 'take-in',
      meta: { title: 'Add a unit' },
      component: () => import('./unit/record/TakeIn.vue'),
    },
    {
      path: '/units/:id',
      component: () => import('./unit/page/UnitView.vue'),
      children: [
        { path: '', redirect: { name: 'record' } },
        {
          path: 'record/:station?',
          name: 'record',
          component: () => import('./unit/record/RecordView.vue'),
        },
        {
          path: 'sheet',
          name: 'sheet',
          component: () => import('./unit/model-sheet/UnitSheet.vue'),
        },
        {
          path: 'confirm',
          name: 'confirm',
          component: () => import('./unit/record/UnitConfirm.vue'),
        },
        {
          path: 'numbers/:question?',
          name: 'numbers',
          component: () => import('./numbers/benches/NumbersView.vue'),
        },
        { path: 'walk', name: 'walk', component: () => import('./show/plan/PlanView.vue') },
        {
          path: 'round/:station?',
          name: 'round',
          component: () => import('./unit/round/RoundView.vue'),
        },
        { path: 'labels', name: 'labels', component: () => import('./unit/label/LabelsView.vue') },
        { path: 'photos', name: 'photos', component: () => import('./unit/photo/PhotosView.vue') },
        {
          path: 'condition',
          name: 'condition',
          component: () => import('./unit/condition/ConditionView.vue'),
        },
        {
          path: 'wheels',
          name: 'wheels',
          component: () => import('./unit/condition/WheelsView.vue'),
        },
        {
          path: 'inspection',
          name: 'inspection',
          component: () => import('./unit/condition/InspectionView.vue'),
        },
        { path: 'aboard', name: 'aboard', component: () => import('./unit/aboard/AboardView.vue') },
        {
          path: 'questions',
          name: 'questions',
          component: () => import('./unit/questions/QuestionsView.vue'),
        },
        {
          path: 'disclosure',
          name: 'disclosure',
          component: () => import('./unit/condition/DisclosureView.vue'),
        },
        {
          path: 'history',
          name: 'history',
          component: () => import('./unit/record/HistoryView.vue'),
        },
        { path: 'log/:walk?', name: 'log', component: () => import('./yard/walks/LogView.vue') },
      ],
    },
    {
      path: '/walks/:walk',
      props: true,
      name: 'give',
      meta: { title: 'Walk', bare: true },
      component: () => import('./show/walk/GiveView.vue'),
    },
    {
      path: '/walks/:walk/look',
      props: true,
      name: 'look-in',
      meta: { title: 'Watching a walk' },
      component: () => import('./show/walk/LookView.vue'),
    },
    {
      path: '/screen',
      name: 'screen',
      meta: { open: true, bare: true },
      component: () => import('./show/screen/ScreenView.vue'),
    },
    {
      path: '/walks',
      name: 'walks',
      meta: { title: 'Walks' },
      component: () => import('./yard/walks/WalksView.vue'),
    },
    {
      path: '/:any(.*)*',
      name: 'lost',
      meta: { title: 'Nothing here' },
      component: () => import('./base/controls/LostView.vue'),
    },
  ],
});

router.beforeEach(async (to) => {
  if (to.meta.open) return true;
  const store = useSession();
  const session = await store.load();
  // A walk that is being given goes on; everything else is read by whoever is signed in.
  if (session && store.isLapsed && !to.meta.bare) {
    // The page is left with all it holds.
    const signIn = router.resolve({ name: 'sign-in', query: { then: to.fullPath } });
    window.location.assign(signIn.href);
    return false;
  }
  return session ? true : { name: 'sign-in', query: { then: to.fullPath } };
});

router.afterEach(({ meta, path }) => {
  if (!path.startsWith('/units/')) callPage(meta.title);
});
