package mildtilt.describe;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import mildtilt.describe.Field.Found;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;

/**
 * The description of one record: every component has its field, in the order of the file.
 *
 * @param check looks at a part that was read: throws {@link mildtilt.geometry.ImpossibleGeometryException} if it can't
 * be
 */
public record Part<T>(Class<T> type, List<Field<T, ?>> fields, Function<Found, T> make, Consumer<T> check, String help)
        implements Form<T> {

    /** @return where to describe a record, component by component */
    public static <T extends Record> Builder<T> of(Class<T> type) {
        return new Builder<>(type);
    }

    /** The field that is called so in the file. @throws IllegalArgumentException if there is none */
    public Field<T, ?> field(String key) {
        return fields.stream()
                .filter(f -> f.key().filter(key::equals).isPresent())
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(type.getSimpleName() + " has no field " + key));
    }

    /**
     * The same part with another value in one field.
     *
     * @param value empty only where the part may be without
     * @throws mildtilt.geometry.ImpossibleGeometryException if the part can't be so
     */
    public T with(T part, Field<T, ?> field, Optional<?> value) {
        return make.apply(new Found() {
            @Override
            @SuppressWarnings("unchecked")
            public <X> X get(String component) {
                if (component.equals(field.component())) {
                    return (X) into(field, this, value);
                }
                Field<T, ?> other = fields.stream()
                        .filter(f -> f.component().equals(component))
                        .findFirst()
                        .orElseThrow();
                return (X) into(other, this, Optional.ofNullable(other.of(part)));
            }
        });
    }

    @SuppressWarnings("unchecked")
    private static <T, V> Object into(Field<T, V> field, Found found, Optional<?> value) {
        boolean may = field.shape() instanceof Shape.Keyed<?> k && k.presence() instanceof Presence.May<?>;
        return may ? value : field.into().apply(found, (V) value.orElseThrow());
    }

    /** Describes a record. */
    public static final class Builder<T extends Record> {

        private static final MethodHandles.Lookup LOOKUP = MethodHandles.publicLookup();

        private final Class<T> type;
        private final Map<String, RecordComponent> components = new HashMap<>();
        private final List<Field<T, ?>> fields = new ArrayList<>();
        private Consumer<T> check = _ -> {};

        private Builder(Class<T> type) {
            this.type = type;
            Arrays.stream(type.getRecordComponents()).forEach(c -> components.put(c.getName(), c));
        }

        /** A value that must be there. */
        public <V> Builder<T> needs(String component, String key, Kind<V> kind, String help) {
            return keyed(component, key, kind, new Presence.Required<>(), help);
        }

        /** A value that is as usual where it is left out; it is always written. */
        public <V> Builder<T> usual(String component, String key, Kind<V> kind, V usual, String help) {
            return usualOf(component, key, kind, _ -> usual, help);
        }

        /** The same, where what is usual hangs on other values of the part. */
        public <V> Builder<T> usualOf(
                String component, String key, Kind<V> kind, Function<Found, V> usual, String help) {
            return keyed(component, key, kind, new Presence.Usual<>(usual, true), help);
        }

        /** A value that is as usual where it is left out, and is left out where it is as usual. */
        public <V> Builder<T> omits(String component, String key, Kind<V> kind, V usual, String help) {
            return keyed(component, key, kind, new Presence.Usual<>(_ -> usual, false), help);
        }

        /** A value that the part may be without: an {@code Optional} component. */
        public <V> Builder<T> may(String component, String key, Kind<V> kind, String help) {
            return keyed(component, key, kind, new Presence.May<>(), help);
        }

        private <V> Builder<T> keyed(String component, String key, Kind<V> kind, Presence<V> presence, String help) {
            return add(new Field<>(
                    component, new Shape.Keyed<>(key, kind, presence), getter(component), (_, v) -> v, "", help));
        }

        /**
         * A value that the record holds in another way than the file. @param into what the record holds, of what the
         * file does and all else that is read
         */
        public <V> Builder<T> adapted(
                String component,
                String key,
                Kind<V> kind,
                Presence<V> presence,
                Function<T, V> get,
                BiFunction<Found, V, Object> into,
                String help) {
            return add(new Field<>(component, new Shape.Keyed<>(key, kind, presence), get, into, "", help));
        }

        /** A component whose keys stand among those of this part. */
        public <V> Builder<T> inline(String component, Form<V> form) {
            return add(new Field<>(component, new Shape.Inline<>(form), getter(component), (_, v) -> v, "", ""));
        }

        /** A key that always says the same. */
        public Builder<T> constant(String key, Object value) {
            return add(new Field<T, Object>("", new Shape.Constant(key, value), _ -> value, (_, v) -> v, "", ""));
        }

        /** A key that may be there and of which nothing is kept. */
        public <V> Builder<T> ignored(String key, Kind<V> kind, String help) {
            return add(new Field<T, V>(
                    "", new Shape.Keyed<>(key, kind, new Presence.May<>()), Builder::nothing, (_, v) -> v, "", help));
        }

        @SuppressWarnings("unchecked")
        private static <T, V> V nothing(T part) {
            return (V) Optional.empty();
        }

        /** A component that the file does not hold. */
        public Builder<T> fixed(String component, Object value) {
            return add(new Field<T, Object>(component, new Shape.Fixed(value), getter(component), (_, v) -> v, "", ""));
        }

        private Builder<T> add(Field<T, ?> field) {
            fields.add(field);
            return this;
        }

        /** What the window calls the last value. */
        public Builder<T> label(String name) {
            fields.set(fields.size() - 1, fields.getLast().called(name));
            return this;
        }

        /** Something to look at once a part is read. */
        public Builder<T> checked(Consumer<T> by) {
            check = by;
            return this;
        }

        /** @throws IllegalStateException if a component is not described, or is described twice */
        public Part<T> help(String help) {
            List<String> described = fields.stream()
                    .map(Field::component)
                    .filter(c -> !c.isEmpty())
                    .sorted()
                    .toList();
            List<String> there = components.keySet().stream().sorted().toList();
            if (!described.equals(there)) {
                throw new IllegalStateException(
                        type + " has the components " + there + ", and described are " + described);
            }
            return new Part<>(type, List.copyOf(fields), maker(), check, help);
        }

        private Function<Found, T> maker() {
            RecordComponent[] order = type.getRecordComponents();
            MethodHandle constructor;
            try {
                constructor = LOOKUP.unreflectConstructor(type.getConstructor(Arrays.stream(order)
                                .map(RecordComponent::getType)
                                .toArray(Class<?>[]::new)))
                        .asSpreader(Object[].class, order.length)
                        .asType(MethodType.methodType(Object.class, Object[].class));
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(e);
            }
            return found -> {
                Object[] values = Arrays.stream(order)
                        .map(c -> found.<Object>get(c.getName()))
                        .toArray();
                try {
                    return type.cast((Object) constructor.invokeExact(values));
                } catch (Throwable t) {
                    throw unchecked(t);
                }
            };
        }

        @SuppressWarnings("unchecked")
        private <V> Function<T, V> getter(String component) {
            RecordComponent c = Optional.ofNullable(components.get(component))
                    .orElseThrow(() -> new IllegalStateException(type + " has no component " + component));
            MethodHandle get;
            try {
                get = LOOKUP.unreflect(c.getAccessor()).asType(MethodType.methodType(Object.class, Object.class));
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
            return part -> {
                try {
                    return (V) (Object) get.invokeExact((Object) part);
                } catch (Throwable t) {
                    throw unchecked(t);
                }
            };
        }

        private static RuntimeException unchecked(Throwable t) {
            return switch (t) {
                case RuntimeException e -> e;
                case Error e -> throw e;
                default -> new IllegalStateException(t);
            };
        }
    }
}
