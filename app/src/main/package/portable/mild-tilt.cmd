@echo off
rem Starts Mild Tilt with the Java 25 or newer that is installed: mild-tilt start, or mild-tilt open FILE.
setlocal
set "HERE=%~dp0"
set "JAVA=java"
if defined JAVA_HOME set "JAVA=%JAVA_HOME%\bin\java"
set "VERSION="
for /f "tokens=2 delims=. " %%V in ('"%JAVA%" --version 2^>nul') do if not defined VERSION set "VERSION=%%V"
if not defined VERSION goto none
if %VERSION% LSS 25 goto none
"%JAVA%" -XX:+UseSerialGC -Xmx768m --enable-native-access=ALL-UNNAMED,javafx.graphics -Dprism.forceGPU=true --module-path "%HERE%javafx" --add-modules javafx.controls,javafx.swing -cp "%HERE%lib\*" mildtilt.app.cli.Main %*
exit /b %ERRORLEVEL%
:none
echo Mild Tilt needs Java 25 or newer. Install one, for example Eclipse Temurin, or set JAVA_HOME to it. 1>&2
exit /b 1
