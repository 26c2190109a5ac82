package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The OpenAPI document names schemas by simple names: two records of one name would silently become one. */
class SchemaNamesTest {
    @Test
    void noTwoRecordsOfTheApiShareAName() {
        Set<Class<?>> records = new LinkedHashSet<>();
        new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("jollytide.server")
                        .stream()
                        .filter(c -> c.isAnnotatedWith(RestController.class))
                        .map(JavaClass::reflect)
                        .forEach(controller -> Arrays.stream(controller.getDeclaredMethods())
                                .filter(method -> AnnotatedElementUtils.hasAnnotation(method, RequestMapping.class))
                                .forEach(method -> walk(method, records)));
        assertThat(records).hasSizeGreaterThan(50);
        Map<String, Set<Class<?>>> byName =
                records.stream().collect(Collectors.groupingBy(Class::getSimpleName, Collectors.toSet()));
        assertThat(byName.values().stream().filter(named -> named.size() > 1)).isEmpty();
    }

    private static void walk(Method method, Set<Class<?>> found) {
        walk(method.getGenericReturnType(), found);
        Arrays.stream(method.getGenericParameterTypes()).forEach(type -> walk(type, found));
    }

    private static void walk(Type type, Set<Class<?>> found) {
        if (type instanceof ParameterizedType generic) {
            Arrays.stream(generic.getActualTypeArguments()).forEach(argument -> walk(argument, found));
            walk(generic.getRawType(), found);
        } else if (type instanceof Class<?> plain && plain.isRecord() && found.add(plain)) {
            for (RecordComponent component : plain.getRecordComponents()) {
                walk(component.getGenericType(), found);
            }
        }
    }
}
