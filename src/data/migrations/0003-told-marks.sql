-- Marks with more to say are few among many plain ones, and are read together.
create index carry_told on carry (item, trip) where plain is null;
