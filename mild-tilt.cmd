@echo off
rem Sets up what Mild Tilt needs and runs it: mild-tilt demo ^| test ^| open FILE ^| analyse FILE ^| route FILE ^| make FILE ^| sure FILE ^| fit FILE ^| instruments FILE ^| scan FILE ^| rules NAME ^| catalogue ^| shots ^| bench ^| start
setlocal enabledelayedexpansion
set "HERE=%~dp0"
set "JAVA="
if defined JAVA_HOME if exist "%JAVA_HOME%\bin\javac.exe" call :try "%JAVA_HOME%"
if not defined JAVA for /d %%D in ("%ProgramFiles%\Eclipse Adoptium\jdk-2*" "%ProgramFiles%\Java\jdk-2*") do if not defined JAVA call :try "%%~D"
if not defined JAVA (
  echo Mild Tilt needs a JDK 25 or newer and found none. Install one, or set JAVA_HOME to it, and try again. 1>&2
  exit /b 1
)
set "JAVA_HOME=%JAVA%"
if "%~1"=="" goto usage
if /i "%~1"=="help" goto usage
if /i "%~1"=="--help" goto usage
where mvn >nul 2>nul
if errorlevel 1 (
  echo Mild Tilt is built with Apache Maven, and there is no mvn here. Install Maven and try again. 1>&2
  exit /b 1
)
if /i "%~1"=="test" (
  call mvn -B -f "%HERE%pom.xml" verify
  exit /b !errorlevel!
)
if /i "%~1"=="bench" (
  if exist "%HERE%bench\target\lib" rmdir /s /q "%HERE%bench\target\lib"
  call mvn -B -q -f "%HERE%pom.xml" -DskipTests package || exit /b 1
  "%JAVA%\bin\java" --sun-misc-unsafe-memory-access=allow -cp "%HERE%bench\target\*;%HERE%bench\target\lib\*" mildtilt.bench.TargetTable
  exit /b !errorlevel!
)
if /i "%~1"=="package" (
  echo Packages are made on Linux, by ./mild-tilt package. Here run the program as it is: mild-tilt start 1>&2
  exit /b 1
)
rem A library of an older version must not stay beside the newer one.
if exist "%HERE%app\target\lib" rmdir /s /q "%HERE%app\target\lib"
rem The build is quick when nothing has changed since the last.
call mvn -B -q -f "%HERE%pom.xml" -DskipTests -pl core,app package || exit /b 1
set "MODULES="
for %%J in ("%HERE%app\target\lib\javafx-*.jar") do set "MODULES=!MODULES!;%%~fJ"
set "CLASSES="
for %%J in ("%HERE%app\target\mild-tilt-app-*.jar") do set "CLASSES=!CLASSES!;%%~fJ"
set "ARGS=%*"
if /i "%~1"=="start" set "ARGS="
"%JAVA%\bin\java" -XX:+UseSerialGC -Xmx768m --enable-native-access=ALL-UNNAMED,javafx.graphics --module-path "!MODULES:~1!" --add-modules javafx.controls,javafx.swing -cp "!CLASSES:~1!;%HERE%app\target\lib\*" mildtilt.app.cli.Main !ARGS!
exit /b %errorlevel%

:try
for /f "tokens=2 delims=. " %%V in ('"%~1\bin\javac.exe" -version 2^>^&1') do if %%V GEQ 25 set "JAVA=%~1"
exit /b 0

:usage
echo mild-tilt demo [NAME]      opens the demo vehicle, or another (library-bus, bog-tender, ...)
echo mild-tilt test             runs every test
echo mild-tilt open FILE        opens a job
echo mild-tilt analyse FILE     prints every figure of a job as JSON (--out DIR, --positions FILE.csv, --grid 61x41)
echo mild-tilt route FILE       looks for routes of the column past what is in the way
echo mild-tilt make FILE --out DIR   writes all papers of a job
echo mild-tilt sure FILE        tells how sure each figure is, and what to measure once more
echo mild-tilt fit FILE --out DIR    writes the log of trials and the inspection sheets
echo mild-tilt instruments FILE stand-ins for instruments on a vehicle built to the job, but not quite
echo mild-tilt scan FILE        tells what an STL or OBJ file holds
echo mild-tilt rules NAME       prints a rule set that ships, to copy and edit (cautious-road, closed-course, slow-workplace)
echo mild-tilt catalogue        prints the catalogue of parts that ships, to copy and edit
echo mild-tilt shots            takes the pictures in docs\screenshots anew
echo mild-tilt bench            measures speed
exit /b 2
